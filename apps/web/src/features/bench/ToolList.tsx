import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { Theme } from '@mui/material/styles';
import { Link, useNavigate } from 'react-router';
import { TOOL_FAMILIES } from '../../tools/tools.ts';
import { t } from '../../words/bench.ts';

/** Pages beside the calculators. */
const TO_LEARN = [
  { to: '/wear-lab', title: t('toolList.wearLab') },
  { to: '/practice', title: t('toolList.practice') },
] as const;

/** The tools by family: a rail of words, or one menu where the screen is narrow. */
export function ToolList({ current }: { current: string }) {
  const isNarrow = useMediaQuery<Theme>((theme) => theme.breakpoints.down('md'));
  const navigate = useNavigate();
  if (isNarrow) {
    return (
      <Box
        component="nav"
        aria-label={t('toolList.tools')}
        sx={{ p: 1.5, borderBottom: '1px solid var(--line)' }}
      >
        <TextField
          select
          label={t('toolList.tool')}
          value={current}
          onChange={({ target }) => void navigate(`/bench/${target.value}`)}
          slotProps={{ select: { native: true } }}
        >
          {TOOL_FAMILIES.map(({ title, tools }) => (
            <optgroup key={title} label={title}>
              {tools.map((tool) => (
                <option key={tool.name} value={tool.name}>
                  {tool.title}
                </option>
              ))}
            </optgroup>
          ))}
        </TextField>
      </Box>
    );
  }
  return (
    <Box
      component="nav"
      aria-label={t('toolList.tools')}
      sx={{ borderRight: '1px solid var(--line)', py: 2, overflowY: 'auto' }}
    >
      {TOOL_FAMILIES.map(({ title, tools }) => (
        <Box key={title} sx={{ mb: 1.5 }}>
          <Typography variant="h3" component="h2" color="textSecondary" sx={{ px: 2.5, mb: 0.5 }}>
            {title}
          </Typography>
          {tools.map((tool) => (
            <RailLink
              key={tool.name}
              to={`/bench/${tool.name}`}
              title={tool.title}
              isCurrent={tool.name === current}
            />
          ))}
        </Box>
      ))}
      <Typography variant="h3" component="h2" color="textSecondary" sx={{ px: 2.5, mb: 0.5 }}>
        {t('toolList.toLearn')}
      </Typography>
      {TO_LEARN.map(({ to, title }) => (
        <RailLink key={to} to={to} title={title} isCurrent={false} />
      ))}
    </Box>
  );
}

function RailLink({ to, title, isCurrent }: { to: string; title: string; isCurrent: boolean }) {
  return (
    <Box
      component={Link}
      to={to}
      aria-current={isCurrent ? 'page' : undefined}
      sx={{
        display: 'block',
        px: 2.5,
        py: 0.75,
        minHeight: 34,
        color: isCurrent ? 'var(--ink)' : 'var(--soft)',
        fontWeight: isCurrent ? 700 : 450,
        textDecoration: 'none',
        borderLeft: '4px solid',
        borderColor: isCurrent ? 'var(--marker)' : 'transparent',
        '&:hover': { color: 'var(--ink)' },
      }}
    >
      {title}
    </Box>
  );
}
