import type { SharedSheet } from '@keen/contract';
import { textsOf } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { useSharedSheetQuery } from '../../api/handOverApi.ts';
import { failureOf } from '../../api/problem.ts';
import { PaperView } from '../../shared/PaperView.tsx';
import { t } from '../../words/sharedSheet.ts';

/** A customer's sheet behind its link: nobody is signed in, nothing else can be reached from here. */
export function SharedSheetPage() {
  const { token = '' } = useParams();
  const { data, error, isLoading, refetch } = useSharedSheetQuery(token);
  const title = data?.paper.title;
  useEffect(() => {
    if (title) document.title = title;
  }, [title]);
  return (
    <Box
      component="main"
      sx={{
        maxWidth: 860,
        mx: 'auto',
        p: { xs: 2, sm: 4 },
        '@media print': { p: 0, maxWidth: 'none' },
      }}
    >
      {data && <SharedPaper {...data} />}
      {isLoading && (
        <Box role="status" aria-label={t('sharedSheetPage.loadingTheSheet')}>
          <Skeleton variant="rectangular" height={420} sx={{ bgcolor: 'var(--hairline)' }} />
        </Box>
      )}
      {error && (
        <Box role="alert">
          <Typography variant="h1" gutterBottom>
            {t('sharedSheetPage.thisSheetCannotBe')}
          </Typography>
          {failureOf(error).isPassing ? (
            <>
              <Typography sx={{ mb: 2 }}>{failureOf(error).text}</Typography>
              <Button onClick={() => void refetch()}>{t('sharedSheetPage.tryAgain')}</Button>
            </>
          ) : (
            <Typography>{t('sharedSheetPage.itsLinkHasEnded')}</Typography>
          )}
        </Box>
      )}
    </Box>
  );
}

function SharedPaper({ paper, endsAt }: SharedSheet) {
  const { papers, texts } = textsOf(paper.language);
  const day = new Date(endsAt).toLocaleDateString(texts.locale === 'en' ? 'en-GB' : texts.locale, {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  });
  return (
    <>
      <PaperView paper={paper} level={1} />
      <Typography
        lang={paper.language}
        variant="body2"
        color="textSecondary"
        sx={{ mt: 1, '@media print': { display: 'none' } }}
      >
        {papers.linkEnds(day)}
      </Typography>
    </>
  );
}
