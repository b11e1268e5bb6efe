import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useRef } from 'react';
import type { ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { failureOf } from '../../api/problem.ts';
import { focusRow } from '../../shared/focusRow.ts';
import { MoreRows } from '../../shared/MoreRows.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/garage.ts';

interface PagedListProps<Row> {
  label: string;
  pages: {
    data?: { pages: readonly { rows: readonly Row[] }[] } | undefined;
    error?: unknown;
    isLoading: boolean;
    isFetching: boolean;
    isError: boolean;
    hasNextPage: boolean;
    fetchNextPage: () => unknown;
    refetch: () => unknown;
  };
  empty: { title: string; text: string };
  rowOf: (row: Row) => ReactNode;
}

/** A list that comes page by page: arrow keys go from row to row. */
export function PagedList<Row>({ label, pages, empty, rowOf }: PagedListProps<Row>) {
  const list = useRef<HTMLUListElement>(null);
  useHotkeys(['up', 'down'], ({ key }) => focusRow(list.current, key === 'ArrowDown' ? 1 : -1), {
    preventDefault: true,
    enableOnFormTags: ['input'],
  });
  const rows = pages.data?.pages.flatMap((page) => page.rows);
  return (
    <>
      {pages.isError && (
        <Box sx={{ my: 2, display: 'flex', gap: 2, alignItems: 'center' }}>
          <Notice kind="caution">{failureOf(pages.error).text}</Notice>
          <Button onClick={() => void pages.refetch()}>{t('pagedList.tryAgain')}</Button>
        </Box>
      )}
      {pages.isLoading && (
        <Box role="status" aria-label={t('pagedList.loading', { label })}>
          <Skeleton variant="rectangular" height={320} sx={{ bgcolor: 'var(--hairline)' }} />
        </Box>
      )}
      {rows?.length === 0 && (
        <Box sx={{ py: 6, textAlign: 'center' }}>
          <Typography variant="h2" gutterBottom>
            {empty.title}
          </Typography>
          <Typography color="textSecondary">{empty.text}</Typography>
        </Box>
      )}
      <Box
        component="ul"
        ref={list}
        aria-label={label}
        aria-busy={pages.isFetching}
        sx={{ listStyle: 'none', m: 0, p: 0 }}
      >
        {rows?.map(rowOf)}
      </Box>
      {pages.hasNextPage && (
        <MoreRows
          label={t('pagedList.more', { label: label.toLowerCase() })}
          isLoading={pages.isFetching}
          hasFailed={pages.isError}
          onMore={() => void pages.fetchNextPage()}
        />
      )}
    </>
  );
}
