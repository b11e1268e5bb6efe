import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import { t } from '../words/shared.ts';

interface MoreRowsProps {
  /** What comes next, as the button says it. */
  label: string;
  isLoading: boolean;
  /** The last try failed: the next is by hand, so that a server that is down is not asked without end. */
  hasFailed: boolean;
  onMore: () => void;
}

/** The end of a list that goes on: the rest is fetched as one gets near it, or by its button. */
export function MoreRows({ label, isLoading, hasFailed, onMore }: MoreRowsProps) {
  const end = useRef<HTMLDivElement>(null);
  const more = useRef(onMore);
  useEffect(() => {
    more.current = onMore;
  });
  useEffect(() => {
    if (!end.current || isLoading || hasFailed || !('IntersectionObserver' in window)) return;
    const watch = new IntersectionObserver(
      ([seen]) => {
        if (seen?.isIntersecting) more.current();
      },
      { rootMargin: '600px' },
    );
    watch.observe(end.current);
    return () => watch.disconnect();
  }, [isLoading, hasFailed]);
  return (
    <Box ref={end} sx={{ py: 2, textAlign: 'center' }}>
      <Button variant="text" disabled={isLoading} onClick={onMore}>
        {isLoading ? t('moreRows.loading') : label}
      </Button>
    </Box>
  );
}
