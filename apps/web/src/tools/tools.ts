import type { BenchTool } from './tool.ts';
import { FLOOR_TOOLS } from './floorTools.ts';
import { MEANING_TOOLS } from './meaningTools.ts';
import { MEASURE_TOOLS } from './measureTools.ts';
import { SETTING_TOOLS } from './settingTools.ts';
import { TURN_TOOLS } from './turnTools.ts';
import { t } from '../words/tools.ts';

/** Every calculator, in the families one looks for it in. */
export const TOOL_FAMILIES: readonly { title: string; tools: readonly BenchTool[] }[] = [
  { title: t('tools.measure'), tools: [...MEASURE_TOOLS, ...TURN_TOOLS, ...FLOOR_TOOLS] },
  { title: t('tools.whatItMeans'), tools: MEANING_TOOLS },
  { title: t('tools.setRight'), tools: SETTING_TOOLS },
];

export const TOOLS: readonly BenchTool[] = TOOL_FAMILIES.flatMap(({ tools }) => tools);
