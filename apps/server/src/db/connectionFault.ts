/**
 * Codes of PostgreSQL's Appendix A by which a database is not to be had: 08 connection, 28 and 3D not let in, 53 out
 * of resources (connections, disk, memory), 55 takes no connections, 57 being shut down, 58 its disk fails.
 */
export const AWAY_CODES = /^(08|28|3D|53|55|57|58)/;

const CONNECTION_CODES = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND']);

/** Whether a database could not be reached; the driver has no class for it, only messages. */
export function isConnectionFault(error: unknown): boolean {
  for (let at = error; at instanceof Error; at = at.cause) {
    if ('code' in at && typeof at.code === 'string' && CONNECTION_CODES.has(at.code)) return true;
    if (/^(Connection terminated|timeout exceeded when trying to connect)/.test(at.message)) {
      return true;
    }
  }
  return false;
}
