import { courseWords, whereWords } from '../../words/pageTexts.ts';
import { distanceToKm, formatMoney } from '@keen/core';
import type { Choice, Outlook, SensorChoice, Span, CostComparison } from '@keen/core';
import Box from '@mui/material/Box';
import { dangerWords } from '../../shared/dangerWords.ts';
import { showFar, showPercent } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/decide.ts';
import { term } from '../../words/terms.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

const SCALE_WIDTH = 150;
const THOUSAND = 1000;

interface ChoicesProps {
  weighing: CostComparison;
  /** How far the tires on the car still go; null where nobody knows. */
  oldKm: Outlook['oldKm'];
  /** How many tires are replaced now. */
  replaced: number;
}

/** The courses side by side: what the new tires would live, what it costs now and over their life. */
export function Choices({ weighing, oldKm, replaced }: ChoicesProps) {
  const { units, session } = useVisit();
  const fitsTires = replaced > 0;
  const { currency } = session.shop.settings.prices;
  const longest = Math.max(...weighing.choices.map(({ outlook }) => outlook.lifeKm.high));
  const rows = weighing.choices.toSorted((a, b) =>
    (a.bar === null) === (b.bar === null)
      ? a.perThousandKm - b.perThousandKm
      : a.bar === null
        ? -1
        : 1,
  );
  // What 1000 of the person's own distance units cost.
  const perThousand = (perThousandKm: number) =>
    (perThousandKm / THOUSAND) * distanceToKm(THOUSAND, units.distance);
  const money = (minor: number, isWhole = true) =>
    formatMoney(minor, currency, pageLocale, isWhole);
  return (
    <Box
      component="table"
      aria-label={t('choices.choices')}
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        '& th, & td': {
          borderTop: '1px solid var(--hairline)',
          py: 1,
          pr: 1.5,
          verticalAlign: 'top',
        },
        '& thead th': {
          borderTop: 0,
          color: 'text.secondary',
          fontWeight: 500,
          fontSize: '0.8rem',
          lineHeight: 1.2,
        },
        '& th': { textAlign: 'left' },
        '& .figure': { textAlign: 'right', fontVariantNumeric: 'tabular-nums' },
        '& .small': { color: 'text.secondary', fontSize: '0.8rem' },
        // On a phone each course takes two lines, and its figures carry their own names.
        '& .named': { display: { xs: 'block', sm: 'none' } },
        '& thead': { display: { xs: 'none', sm: 'table-header-group' } },
        '& tbody tr': {
          display: { xs: 'grid', sm: 'table-row' },
          gridTemplateColumns: '1fr auto auto',
          borderTop: { xs: '1px solid var(--hairline)', sm: 0 },
          py: { xs: 1, sm: 0 },
        },
        '& tbody th, & tbody td': {
          border: { xs: 0, sm: 'revert-layer' },
          py: { xs: 0.25, sm: 1 },
        },
        '& tbody th': { gridColumn: '1 / -1' },
      }}
    >
      <thead>
        <tr>
          <th scope="col">
            {fitsTires ? t('choices.beforeTheNewTires') : t('choices.whatCanBeDone')}
          </th>
          <th scope="col">
            {fitsTires ? t('choices.expectedLife') : t('choices.lifeOfANew')}, {units.distance}
          </th>
          <th scope="col" className="figure">
            {fitsTires ? t('choices.nowWithTires', { count: replaced }) : t('choices.now')}
          </th>
          <th scope="col" className="figure">
            {t('choices.perThousandTitle', { distance: units.distance })}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((choice) => {
          const { course, outlook, bar } = choice;
          const isAdvised = course === weighing.advised.course;
          return (
            <Box
              component="tr"
              key={course}
              data-advised={isAdvised || undefined}
              sx={{ color: bar === null ? undefined : 'text.secondary' }}
            >
              <Box
                component="th"
                scope="row"
                sx={{ width: { xs: 'auto', sm: '40%' }, fontWeight: 400 }}
              >
                <Box sx={{ fontWeight: isAdvised ? 700 : 550 }}>
                  {isAdvised && (
                    <Box component="span" aria-hidden sx={{ color: 'var(--marker)' }}>
                      ▸{' '}
                    </Box>
                  )}
                  {course === 'fitOnly' && !fitsTires && !isAdvised
                    ? t('choices.leaveItAsIt')
                    : courseWords(course, fitsTires, weighing)}
                </Box>
                <Box sx={{ color: 'text.secondary', fontSize: '0.82rem' }}>
                  {bar === null ? doubts(choice, money) : BAR_WORDS[bar]}
                  {bar === null && course === 'inflateAndWatch' && weighing.sensors && (
                    <> {sensorWords(weighing.sensors, money)}</>
                  )}
                </Box>
              </Box>
              <td>
                <LifeScale
                  life={outlook.lifeKm}
                  longest={longest}
                  ink={isAdvised ? 'marker' : bar === null ? 'rubber' : 'soft'}
                />
                <Life km={outlook.lifeKm} />
                <Box className="small">
                  {t('choices.first', {
                    wheel: whereWords(outlook.first.wheel),
                    rib: term(`rib.${outlook.first.rib}`),
                  })}
                </Box>
                {course === 'fitOnly' && !fitsTires && oldKm && (
                  <Box className="small">
                    {t('choices.theTiresItHas')} <Life km={oldKm} />
                  </Box>
                )}
              </td>
              <td className="figure">
                <span className="named small">{t('choices.nowSmall')}</span>
                {money(choice.now)}
              </td>
              <Box component="td" className="figure" sx={{ fontWeight: isAdvised ? 700 : 400 }}>
                <span className="named small">
                  {t('choices.perThousand', { distance: units.distance })}
                </span>
                {money(perThousand(choice.perThousandKm), false)}
                <Box className="small" sx={{ fontWeight: 400 }}>
                  {t('choices.moneyRange', {
                    money: money(perThousand(choice.perThousandKmSpan.low)),
                    money2: money(perThousand(choice.perThousandKmSpan.high)),
                  })}
                </Box>
              </Box>
            </Box>
          );
        })}
        {fitsTires && <NothingYet oldKm={oldKm} longest={longest} />}
      </tbody>
    </Box>
  );
}

const BAR_WORDS: Record<NonNullable<Choice['bar']>, string> = {
  partsFirst: t('choices.leftOutWornJoints'),
  seen: t('choices.leftOutWhatWore'),
  seenBefore: t('choices.leftOutAlignedSince'),
  readFirst: t('choices.leftOutReadFirst'),
  moved: t('choices.leftOutTheAngles'),
  measureFirst: t('choices.leftOutNotCertain'),
  measured: t('choices.leftOutTheAnglesHave'),
  inOrder: t('choices.leftOutTheAnglesWere'),
  foundOut: t('choices.leftOutFoundOut'),
  pull: t('choices.leftOutPull'),
  pressureFound: t('choices.leftOutPressureFound'),
  complaint: t('choices.leftOutComplaint'),
  measureAgain: t('choices.leftOutMeasureAgain'),
  said: t('choices.leftOutWhatIsSaid'),
  loose: t('choices.leftOutLoose'),
  unlikely: t('choices.leftOutNothingHere'),
};

const STEP_WORDS: Record<Choice['steps'][number]['price'], string> = {
  check: t('choices.toMeasure'),
  align: t('choices.toAlign'),
  inspect: t('choices.toLookUnderThe'),
  parts: t('choices.forParts'),
  adjustableArm: t('choices.forAnAdjustableArm'),
  balance: t('choices.toBalance'),
  inflate: t('choices.forAir'),
};

/** What it comes to step by step, what it saves, and how it can turn out. */
function doubts(choice: Choice, money: (minor: number) => string): string {
  const { outlook, course, steps, saves } = choice;
  const parts: string[] = [];
  // Figure and sign stay on one line.
  const against = (saved: number) =>
    t(saved < 0 ? 'choices.more' : 'choices.less', { money: money(Math.abs(saved)) });
  if (steps.length > 1) {
    const words = steps.map(({ price, minor, chance }) =>
      chance === 1
        ? `${money(minor)} ${STEP_WORDS[price]}`
        : `${money(minor)} ${STEP_WORDS[price]} (${showPercent(chance)})`,
    );
    const inTurn = words.map((step, i) => (i === 0 ? step : t('choices.then', { step })));
    parts.push(`${inTurn.join(', ')}.`);
  }
  if (course !== 'fitOnly') {
    parts.push(
      t('choices.inAllThanLeaving', {
        mean: against(saves.mean),
        low: against(saves.low),
        high: against(saves.high),
      }),
      t('choices.chanceThatTheWork', { needless: showPercent(outlook.needless) }),
    );
  }
  parts.push(t('choices.thatTheWearComes', { comesBack: showPercent(outlook.comesBack) }));
  return parts.join(' ');
}

/** What sensors cost, and how likely pressures must be to sink again for them to pay. */
function sensorWords(
  { wheels, minor, atStake }: SensorChoice,
  money: (minor: number) => string,
): string {
  const figures = { count: wheels.length, cost: money(minor), atStake: money(atStake) };
  return minor < atStake
    ? t('choices.sensorsPay', { ...figures, chance: showPercent(minor / atStake) })
    : t('choices.sensorsDoNotPay', figures);
}

interface LifeScaleProps {
  life: Span;
  longest: number;
  /** Which of the inks of the page. */
  ink: 'marker' | 'rubber' | 'soft';
}

/** A distance and what holds it eight times in ten. */
function Life({ km }: { km: Span }) {
  const { units } = useVisit();
  return (
    <Box sx={{ whiteSpace: 'nowrap' }}>
      <Box component="span" className="condensed" sx={{ fontSize: '1.25rem', fontWeight: 700 }}>
        {showFar(km.median, units.distance)}
      </Box>{' '}
      <Box component="span" className="small">
        {t('choices.range', {
          low: showFar(km.low, units.distance),
          high: showFar(km.high, units.distance),
        })}
      </Box>
    </Box>
  );
}

interface NothingYetProps extends Pick<ChoicesProps, 'oldKm'> {
  longest: number;
}

/** Driving on as the car stands: the tires on it go on to the limit, and the same choice comes then. */
function NothingYet({ oldKm, longest }: NothingYetProps) {
  const { session, draft } = useVisit();
  const { currency } = session.shop.settings.prices;
  const [danger] = dangerWords(draft);
  return (
    <Box component="tr" sx={{ color: danger ? 'text.secondary' : undefined }}>
      <Box component="th" scope="row" sx={{ fontWeight: 400 }}>
        <Box sx={{ fontWeight: 550 }}>{t('choices.nothingYet')}</Box>
        <Box sx={{ color: 'text.secondary', fontSize: '0.82rem' }}>
          {danger ? t('choices.leftOut', { what: danger.what }) : t('choices.theWearGoesOn')}
        </Box>
      </Box>
      <td>
        {!danger && oldKm && (
          <>
            <LifeScale life={oldKm} longest={longest} ink="rubber" />
            <Life km={oldKm} />
            <Box className="small">{t('choices.onTheTiresIt')}</Box>
          </>
        )}
      </td>
      <td className="figure">
        <span className="named small">{t('choices.nowSmall')}</span>
        {formatMoney(0, currency, pageLocale, true)}
      </td>
      <td className="figure" />
    </Box>
  );
}

/** The life as a dot with its 80 % whisker, all rows on one scale. */
function LifeScale({ life, longest, ink: name }: LifeScaleProps) {
  const x = (km: number) => 4 + (km / longest) * (SCALE_WIDTH - 8);
  const ink = `var(--${name})`;
  return (
    <svg viewBox={`0 0 ${SCALE_WIDTH} 14`} width={SCALE_WIDTH} height={14} aria-hidden>
      <line x1={0} x2={SCALE_WIDTH} y1={13} y2={13} stroke="var(--hairline)" />
      <line x1={x(life.low)} x2={x(life.high)} y1={7} y2={7} stroke={ink} strokeWidth={2} />
      <circle cx={x(life.median)} cy={7} r={4.5} fill={ink} />
    </svg>
  );
}
