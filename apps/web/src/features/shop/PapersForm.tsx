import type { Session } from '@keen/contract';
import { MOST_LOGO_BYTES } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useSaveLogoMutation, useSaveSettingsMutation } from '../../api/shopApi.ts';
import { failureOf } from '../../api/problem.ts';
import { FileButton } from '../../shared/FileButton.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { t } from '../../words/shop.ts';
import { ClosingLines } from './ClosingLines.tsx';

/** What stands on every paper of the shop: logo, address, a sentence of its own. */
export function PapersForm({ session }: { session: Session }) {
  const { settings, hasLogo, name } = session.shop;
  const [keep, keeping] = useSaveSettingsMutation();
  const [saveLogo, logo] = useSaveLogoMutation();
  const [tooLarge, setTooLarge] = useState(false);
  // A logo changed keeps its address: the number makes the browser fetch it again.
  const [version, setVersion] = useState(0);

  async function take(file: File | null): Promise<void> {
    setTooLarge(file !== null && file.size > MOST_LOGO_BYTES);
    if (file && file.size > MOST_LOGO_BYTES) return;
    await saveLogo(file);
    setVersion(version + 1);
  }

  return (
    <Box component="section" aria-labelledby="papers-title" sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h1" component="h2" id="papers-title">
        {t('papersForm.papers')}
      </Typography>
      <SavingField
        label={t('papersForm.addressAndTelephoneUnder', { name })}
        multiline
        value={settings.sheetHeader}
        check={(text) => (text.length > 200 ? t('papersForm.atMost200Letters') : null)}
        onChange={(sheetHeader) => void keep({ sheetHeader: sheetHeader ?? '' })}
      />
      <ClosingLines settings={settings} />
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        {hasLogo && (
          <img
            src={`/api/shop/logo?v=${version}`}
            alt={t('papersForm.theShopsLogo')}
            style={{ maxHeight: 48, maxWidth: 140 }}
          />
        )}
        <FileButton
          label={t('papersForm.logo')}
          accept="image/png,image/jpeg"
          disabled={logo.isLoading}
          onFile={(file) => void take(file)}
        >
          {hasLogo ? t('papersForm.changeTheLogo') : t('papersForm.addALogoPng')}
        </FileButton>
        {hasLogo && (
          <Button variant="text" onClick={() => void take(null)}>
            {t('papersForm.without')}
          </Button>
        )}
      </Box>
      {tooLarge && <Notice kind="caution">{t('papersForm.thePictureIsLarger')}</Notice>}
      {logo.error && <Notice kind="caution">{failureOf(logo.error).text}</Notice>}
      {keeping.isError && <Notice kind="caution">{t('papersForm.notSavedThePapers')}</Notice>}
    </Box>
  );
}
