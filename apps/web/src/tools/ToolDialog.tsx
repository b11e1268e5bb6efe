import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { Notice } from '../shared/Notice.tsx';
import { withUnit } from './convertUnit.ts';
import type { BenchTool } from './tool.ts';
import { ToolField } from './ToolField.tsx';
import { hasBegun, INCHES_TOO, takesInches, workOut } from './toolInput.ts';
import type { Texts, Worked } from './toolInput.ts';
import { t } from '../words/tools.ts';

interface ToolDialogProps {
  tool: BenchTool;
  /** What stands in the fields at first. */
  start: Texts;
  /** Fields that the place decides, not the person. */
  given?: Texts;
  /** Fills in what the form may leave out, before it is worked out. */
  complete?: (texts: Texts) => Texts;
  /** What is asked before the fields. */
  children?: ReactNode;
  /** The answer, in words; empty while there is none. */
  answer: (worked: Worked, texts: Texts) => string;
  /** What follows from the answer, under it. */
  after?: (worked: Worked) => ReactNode;
  actions: (worked: Worked, texts: Texts) => ReactNode;
  /** Told of what stands in the fields, so that the next dialog need not ask again. */
  onTexts?: (texts: Texts) => void;
  onClose: () => void;
}

/** A calculator over the page at hand, opened with what is known of the car. */
export function ToolDialog(props: ToolDialogProps) {
  const { tool, start, given = {}, children, answer, after, actions, onTexts, onClose } = props;
  const { complete = (same) => same } = props;
  const [texts, setTexts] = useState<Texts>(start);
  const worked = workOut(tool, complete({ ...texts, ...given }));
  const { Drawing } = tool;

  function type(path: string, text: string): void {
    const next = path === 'unit' ? withUnit(tool, texts, text) : { ...texts, [path]: text };
    setTexts(next);
    onTexts?.(next);
  }

  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="tool-title">
      <DialogTitle id="tool-title" variant="h2">
        {tool.title}
      </DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'grid', gap: 2 }}>
          <Typography color="textSecondary">{tool.question}</Typography>
          {tool.caution && <Notice kind="caution">{tool.caution}</Notice>}
          {children}
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
              columnGap: 2,
              rowGap: 1.75,
              pt: 0.5,
            }}
          >
            {tool.fields
              .filter(({ path }) => !(path in given))
              .map((field) => {
                const text = texts[field.path] ?? '';
                // An empty field is not wrong yet.
                const fault =
                  worked.ok || !hasBegun(tool, texts, field)
                    ? null
                    : (worked.faults[field.path] ?? null);
                return (
                  <ToolField
                    key={field.path}
                    field={field}
                    text={text}
                    fault={fault}
                    onChange={(next) => type(field.path, next)}
                  />
                );
              })}
          </Box>
          {takesInches(tool) && (
            <Typography variant="body2" color="textSecondary">
              {INCHES_TOO}
            </Typography>
          )}
          <Typography
            role="status"
            className="condensed"
            sx={{ fontSize: '1.4rem', fontWeight: 700 }}
          >
            {answer(worked, texts) || t('toolDialog.notAllNumbersAre')}
          </Typography>
          {after?.(worked)}
          {worked.ok && <Drawing input={worked.input} output={worked.output} />}
        </Box>
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>{actions(worked, texts)}</DialogActions>
    </Dialog>
  );
}
