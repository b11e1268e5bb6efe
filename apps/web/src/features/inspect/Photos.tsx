import { MOST_PHOTO_BYTES } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import { useState } from 'react';
import { useSavePhotoMutation, usePhotosQuery, useRemovePhotoMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { FileButton } from '../../shared/FileButton.tsx';
import { newId } from '../../shared/newId.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { smallPicture } from './smallPicture.ts';
import { t } from '../../words/inspect.ts';

interface PhotosProps {
  /** What the pictures are kept under. */
  subject: string;
  label: string;
}

/** Pictures of one thing: taken with the tablet's camera or from a file, looked at, taken away. */
export function Photos({ subject, label }: PhotosProps) {
  const { detail } = useVisit();
  const visitId = detail.visit.id;
  const { data: photos = [] } = usePhotosQuery(visitId);
  const [keep, { isLoading }] = useSavePhotoMutation();
  const [remove] = useRemovePhotoMutation();
  const [fault, setFault] = useState<string | null>(null);
  const [shown, setShown] = useState<string | null>(null);
  const own = photos.filter((photo) => photo.subject === subject);

  async function take(file: File): Promise<void> {
    setFault(null);
    const picture = await smallPicture(file);
    if (!picture) {
      setFault(t('photos.thisPictureCannotBe'));
      return;
    }
    if (picture.size > MOST_PHOTO_BYTES) {
      setFault(t('photos.thePictureIsToo'));
      return;
    }
    const answer = await keep({ visitId, id: newId(), subject, picture });
    if ('error' in answer) setFault(t('photos.notSaved', { text: failureOf(answer.error).text }));
  }

  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
      {own.map(({ id }) => (
        <Box
          key={id}
          component="button"
          type="button"
          aria-label={t('photos.lookAtThePicture', { label })}
          onClick={() => setShown(id)}
          sx={{ p: 0, border: '1px solid var(--line)', bgcolor: 'transparent', cursor: 'pointer' }}
        >
          <Box
            component="img"
            src={`/api/photos/${id}`}
            alt=""
            sx={{ width: 64, height: 44, objectFit: 'cover', display: 'block' }}
          />
        </Box>
      ))}
      <FileButton
        label={t('photos.pictureOf', { label })}
        accept="image/*"
        size="small"
        disabled={isLoading}
        onFile={(file) => void take(file)}
      >
        {isLoading ? 'Saving …' : t('photos.picture')}
      </FileButton>
      {fault && (
        <Box role="alert" sx={{ color: 'var(--marker)', fontSize: '0.85rem' }}>
          {fault}
        </Box>
      )}
      <Dialog
        open={shown !== null}
        onClose={() => setShown(null)}
        maxWidth="md"
        aria-label={t('photos.pictureOf', { label })}
      >
        {shown && (
          <Box
            component="img"
            src={`/api/photos/${shown}`}
            alt={label}
            sx={{ maxWidth: '100%', maxHeight: '70vh', display: 'block' }}
          />
        )}
        <DialogActions sx={{ p: 2 }}>
          <Button
            onClick={() => {
              if (shown) void remove({ visitId, id: shown });
              setShown(null);
            }}
          >
            {t('photos.delete')}
          </Button>
          <Button variant="contained" onClick={() => setShown(null)}>
            {t('photos.close')}
          </Button>
        </DialogActions>
      </Dialog>
    </Box>
  );
}
