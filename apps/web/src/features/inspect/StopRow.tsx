import { stopState } from '@keen/core';
import type { Stop } from '@keen/core';
import Box from '@mui/material/Box';
import { useEffect, useId, useRef } from 'react';
import type { ReactNode } from 'react';
import { StateSquare } from '../../shared/StateSquare.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/inspect.ts';
import { FOUND } from '../../words/core/inspect.ts';

interface StopRowProps {
  stop: Stop;
  title: string;
  isOpen: boolean;
  onOpen: () => void;
  /** What goes on from here, beside the name. */
  action?: ReactNode;
  children: ReactNode;
}

const WORDS = { open: t('stopRow.notChecked'), partly: '', done: '' } as const;

/** A stop of the walk as one line: its name and what was found there; open, with its questions. */
export function StopRow({ stop, title, isOpen, onOpen, action, children }: StopRowProps) {
  const { draft } = useVisit();
  const id = useId();
  const row = useRef<HTMLDivElement>(null);
  const wasOpen = useRef(isOpen);
  const { state, words, isOdd } = stopState(draft, stop, FOUND);

  // The stop that was just reached comes into view; the page does not jump when it is first shown.
  useEffect(() => {
    if (isOpen && !wasOpen.current) row.current?.scrollIntoView({ block: 'nearest' });
    wasOpen.current = isOpen;
  }, [isOpen]);

  return (
    <Box
      ref={row}
      component="section"
      aria-labelledby={id}
      sx={{
        borderBottom: '1px solid var(--hairline)',
        scrollMarginTop: { xs: '170px', md: '12px' },
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, pt: isOpen ? 0.75 : 0 }}>
        <Box
          component="button"
          type="button"
          id={id}
          aria-expanded={isOpen}
          onClick={onOpen}
          sx={{
            font: 'inherit',
            color: 'inherit',
            background: 'none',
            border: 0,
            p: 0,
            flex: 1,
            minWidth: 0,
            minHeight: 44,
            display: 'flex',
            alignItems: 'center',
            gap: 1.5,
            textAlign: 'left',
            cursor: 'pointer',
          }}
        >
          <Box component="span" sx={{ display: 'flex', color: 'text.secondary' }}>
            <StateSquare state={state} isOdd={isOdd} />
          </Box>
          <Box
            component="span"
            sx={{
              fontWeight: 650,
              fontSize: isOpen ? '1.2rem' : '1rem',
              flexShrink: 0,
              '&::first-letter': { textTransform: 'uppercase' },
              display: 'inline-block',
            }}
          >
            {title}
          </Box>
          <Box component="span" sx={{ color: isOdd ? 'var(--ink)' : 'text.secondary' }}>
            {words || WORDS[state]}
          </Box>
        </Box>
        {isOpen && action}
      </Box>
      {isOpen && <Box sx={{ pt: 0.5, pb: 2.5 }}>{children}</Box>}
    </Box>
  );
}
