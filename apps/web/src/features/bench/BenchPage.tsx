import Box from '@mui/material/Box';
import { Navigate, useNavigate, useParams } from 'react-router';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSessionQuery } from '../../api/keenApi.ts';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { ToolList } from './ToolList.tsx';
import { TOOLS } from '../../tools/tools.ts';
import { ToolView } from './ToolView.tsx';
import { t } from '../../words/bench.ts';

const SHORTCUTS = [
  { keys: [']'], what: t('benchPage.nextTool') },
  { keys: ['['], what: t('benchPage.toolBefore') },
  { keys: ['T'], what: t('benchPage.backToToday') },
];

/** The arithmetic of the trade on its own, for the job that is not a visit. */
export function BenchPage() {
  const { data: session } = useSessionQuery();
  const { tool: name } = useParams();
  const navigate = useNavigate();
  const at = TOOLS.findIndex((tool) => tool.name === name);
  const move = (by: number) => {
    const next = TOOLS[at + by];
    if (next) void navigate(`/bench/${next.name}`);
  };
  useHotkeys('bracketright', () => move(1));
  useHotkeys('bracketleft', () => move(-1));
  useHotkeys('t', () => void navigate('/'));
  const tool = TOOLS[at];
  if (!session) return null;
  if (!tool) return <Navigate to={`/bench/${TOOLS[0]!.name}`} replace />;
  return (
    <Box
      sx={{ height: { md: '100%' }, minHeight: '100%', display: 'flex', flexDirection: 'column' }}
    >
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('benchPage.bench')}</PageTitle>
      </TopBar>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: '196px 1fr' },
          gridTemplateRows: { xs: 'auto 1fr', md: '1fr' },
        }}
      >
        <ToolList current={tool.name} />
        <ToolView key={tool.name} tool={tool} />
      </Box>
    </Box>
  );
}
