import type { Session } from '@keen/contract';
import { DEFAULT_PREFERENCES, preferencesSchema } from '@keen/contract';
import { and, eq } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { accounts, chainLeads, chains, people, shopLogos, shops } from '../../db/schema/index.ts';
import { settingsOf } from '../../db/shopSettings.ts';
import { unauthenticated } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { placesOf } from './signIn.ts';

/** The signed-in person, their shop and colleagues. */
export async function currentSession(tx: Handle, actor: Actor): Promise<Session> {
  const [row] = await tx
    .select()
    .from(people)
    .innerJoin(shops, eq(shops.id, people.shopId))
    .innerJoin(accounts, eq(accounts.id, people.accountId))
    .leftJoin(chains, eq(chains.id, shops.chainId))
    .leftJoin(
      chainLeads,
      and(eq(chainLeads.chainId, chains.id), eq(chainLeads.accountId, accounts.id)),
    )
    .where(and(eq(people.id, actor.personId), eq(people.shopId, actor.shopId)));
  if (!row || row.people.suspendedAt) throw unauthenticated();
  const { id, name, role, preferences } = row.people;
  const { passwordHash, totpSecret } = row.accounts;
  const { chains: chain, chain_leads: led } = row;
  const own = row.shops.ownSettings ?? {};
  const settings = settingsOf({
    settings: row.shops.settings,
    own,
    settled: chain?.settled ?? null,
  });
  // A preference added later gets its default.
  const known = preferencesSchema.safeParse({ ...DEFAULT_PREFERENCES, ...preferences });
  return {
    person: { id, name, role },
    shop: {
      id: row.shops.id,
      name: row.shops.name,
      town: row.shops.town,
      isDemo: row.shops.isDemo,
      hasLogo: (await tx.$count(shopLogos, eq(shopLogos.shopId, actor.shopId))) > 0,
      settings,
      chain: chain && {
        id: chain.id,
        name: chain.name,
        isLead: led !== null,
        settled: chain.settled,
        own,
      },
    },
    shops: (await placesOf(tx, actor.accountId)).map((place) => ({
      id: place.shop_id,
      name: place.name,
      town: place.town,
      role: place.role,
    })),
    people: await staff(tx, actor.shopId),
    preferences: known.success ? known.data : DEFAULT_PREFERENCES,
    account: {
      hasPassword: passwordHash !== null,
      hasSecondFactor: totpSecret !== null,
      mustSetUpSecondFactor:
        settings.secondFactorForLeads &&
        role === 'lead' &&
        totpSecret === null &&
        passwordHash !== null,
    },
  };
}

async function staff(tx: Handle, shopId: string): Promise<Session['people']> {
  const rows = await tx
    .select()
    .from(people)
    .where(eq(people.shopId, shopId))
    .orderBy(people.role, people.name);
  return rows.map(({ id, name, role, suspendedAt }) => ({
    id,
    name,
    role,
    ...(suspendedAt ? { suspended: true } : {}),
  }));
}
