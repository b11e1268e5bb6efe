import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Choice } from '../../shared/Choice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/inspect.ts';
import { term } from '../../words/terms.ts';

/** One side against the other: the straight wheel is fine, the crooked one's side needs the work. */
export function SideToSide() {
  const { draft, enter } = useVisit();
  const { crookedWheel = null, thread = null, overTight } = draft.visit?.inspect ?? {};
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 1.5 }}>
        <Choice
          label={t('sideToSide.steeringWheelStraightWhich')}
          options={[
            { value: 'left', label: t('sideToSide.left') },
            { value: 'right', label: t('sideToSide.right') },
            { value: 'neither', label: t('sideToSide.neither') },
          ]}
          value={crookedWheel}
          onChange={(value) => enter('visit.inspect.crookedWheel', value)}
        />
        <Choice
          label={t('sideToSide.threadShowingAtThe')}
          options={[
            { value: 'equal', label: t('sideToSide.aboutEqual') },
            { value: 'leftMore', label: t('sideToSide.moreLeft') },
            { value: 'rightMore', label: t('sideToSide.moreRight') },
          ]}
          value={thread}
          onChange={(value) => enter('visit.inspect.thread', value)}
        />
        <Choice
          label={t('sideToSide.afterATurnThe')}
          options={[
            { value: 'yes', label: t('sideToSide.freely') },
            { value: 'no', label: t('sideToSide.itBinds') },
          ]}
          value={overTight === undefined ? null : overTight ? 'no' : 'yes'}
          onChange={(value) =>
            enter('visit.inspect.overTight', value === null ? null : value === 'no')
          }
        />
      </Box>
      {(crookedWheel === 'left' || crookedWheel === 'right') && (
        <Typography>
          {t('sideToSide.theSideNeedsThe', { crookedWheel: term(`side.${crookedWheel}`) })}
        </Typography>
      )}
      {(thread === 'leftMore' || thread === 'rightMore') && (
        <Typography>{t('sideToSide.theRodsAreNot')}</Typography>
      )}
      {overTight && <Typography>{t('sideToSide.aJointTightenedWith')}</Typography>}
    </Box>
  );
}
