import express from 'express';
import pg from 'pg';

/** The least that could answer at all: one route, one statement, no session, no checks. */
const pool = new pg.Pool({ connectionString: process.env.DATABASE_URL });
await pool.query(
  'create table if not exists bare (id uuid primary key, visit_id uuid, path text, value jsonb, at timestamptz)',
);
const app = express();
app.get('/visits/:id', async (req, res) => {
  const { rows } = await pool.query('select * from visits where id = $1', [req.params.id]);
  res.json(rows[0]);
});
app.post('/visits/:id/entries', express.json(), async (req, res) => {
  const { id, path, value, at } = req.body as Record<string, unknown>;
  const { rows } = await pool.query('insert into bare values ($1, $2, $3, $4, $5) returning *', [
    id,
    req.params.id,
    path,
    JSON.stringify(value),
    at,
  ]);
  res.json(rows[0]);
});
const http = app.listen(Number(process.env.PORT), '127.0.0.1');
http.once('listening', () => process.send?.('ready'));
