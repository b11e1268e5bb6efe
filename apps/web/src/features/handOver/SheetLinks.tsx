import { LINK_DAYS } from '@keen/contract';
import type { SheetLink } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { useEndLinkMutation, useLinksQuery, useMakeLinkMutation } from '../../api/handOverApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Choice } from '../../shared/Choice.tsx';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/handOver.ts';

type Days = (typeof LINK_DAYS)[number];
const DAY_OPTIONS = LINK_DAYS.map((days) => ({
  value: String(days),
  label: t('sheetLinks.days', { count: days }),
}));

/** Addresses under which the customer reads the sheet for a while; each can be ended at once. */
export function SheetLinks() {
  const { detail } = useVisit();
  const visitId = detail.visit.id;
  const { data: links = [], error } = useLinksQuery(visitId);
  const [make, making] = useMakeLinkMutation();
  const [days, setDays] = useState<Days>(30);
  const failed = making.error ?? error;
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-end' }}>
        <Choice
          label={t('sheetLinks.aLinkThatEnds')}
          options={DAY_OPTIONS}
          value={String(days)}
          onChange={(value) => value && setDays(Number(value) as Days)}
        />
        <Button
          disabled={making.isLoading}
          onClick={() => void make({ visitId, link: { id: newId(), days } })}
        >
          {making.isLoading ? t('sheetLinks.makingIt') : t('sheetLinks.makeALink')}
        </Button>
      </Box>
      {failed && (
        <Notice kind="caution">
          {t('sheetLinks.paperWorksWithoutA', { text: failureOf(failed).text })}
        </Notice>
      )}
      {links.length > 0 && (
        <Box
          component="ul"
          aria-label={t('sheetLinks.linksToTheSheet')}
          sx={{ m: 0, p: 0, listStyle: 'none' }}
        >
          {links.map((link) => (
            <LinkRow key={link.id} visitId={visitId} link={link} />
          ))}
        </Box>
      )}
    </Box>
  );
}

function LinkRow({ visitId, link }: { visitId: string; link: SheetLink }) {
  const { enter } = useVisit();
  const [end, { isLoading }] = useEndLinkMutation();
  const [isCopied, setCopied] = useState(false);
  const address = new URL(`/s/${link.token}`, window.location.origin).href;

  async function copy(): Promise<void> {
    try {
      await navigator.clipboard.writeText(address);
      setCopied(true);
      enter('visit.handOver.given', 'link');
    } catch {
      // Without leave to use the clipboard the address can still be marked in its field.
      setCopied(false);
    }
  }

  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1,
        alignItems: 'center',
        borderTop: '1px solid var(--hairline)',
        py: 1,
      }}
    >
      <TextField
        label={t('sheetLinks.address')}
        value={address}
        size="small"
        sx={{ flex: '1 1 180px' }}
        onFocus={({ target }) => target.select()}
        slotProps={{ htmlInput: { readOnly: true } }}
      />
      <Typography variant="body2" color="textSecondary" sx={{ whiteSpace: 'nowrap' }}>
        {t('sheetLinks.untilRead', {
          endsAt: dayjs(link.endsAt).format('D MMM'),
          opened: link.opened,
        })}
      </Typography>
      <Button onClick={() => void copy()}>
        {isCopied ? t('sheetLinks.copied') : t('sheetLinks.copy')}
      </Button>
      <Button
        href={address}
        target="_blank"
        rel="noreferrer"
        variant="text"
        aria-label={t('sheetLinks.openTheSheetBy')}
      >
        {t('sheetLinks.open')}
      </Button>
      <Button
        variant="text"
        disabled={isLoading}
        onClick={() => void end({ visitId, id: link.id })}
      >
        {t('sheetLinks.revoke')}
      </Button>
    </Box>
  );
}
