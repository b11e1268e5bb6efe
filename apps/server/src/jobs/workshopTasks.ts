import type { Paper } from '@keen/contract';
import { worker } from 'workerpool';
import { cleanPicture } from '../pictures/cleanPicture.ts';
import { paperDocument } from '../pdf/paperDocument.ts';
import type { PaperSize } from '../pdf/paperDocument.ts';
import { renderPdf } from '../pdf/renderPdf.ts';

/**
 * What the workshop's processes do. Each may crash, run out of memory or hang on a malicious picture: the
 * server that asked goes on.
 */
export const workshopTasks = {
  cleanPicture: (file: Uint8Array, longestSide: number) =>
    cleanPicture(Buffer.from(file), longestSide),
  paperPdf: (paper: Paper, size: PaperSize) => renderPdf(paperDocument(paper, size)),
};
export type WorkshopTasks = typeof workshopTasks;

worker(workshopTasks);
