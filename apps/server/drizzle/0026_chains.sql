CREATE TABLE "car_codes" (
	"hash" text PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"ends_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone,
	"taken_by" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "car_codes" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "chain_leads" (
	"chain_id" uuid NOT NULL,
	"account_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "chain_leads_chain_id_account_id_pk" PRIMARY KEY("chain_id","account_id")
);
--> statement-breakpoint
ALTER TABLE "chain_leads" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "chain_log" (
	"id" uuid PRIMARY KEY NOT NULL,
	"chain_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"by" text NOT NULL,
	"what" jsonb NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "chain_log_kind" CHECK ("chain_log"."kind" in ('made', 'renamed', 'shopOpened', 'settled', 'left', 'leadAdded', 'leadRemoved'))
);
--> statement-breakpoint
ALTER TABLE "chain_log" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "chains" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"settled" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "chains_name" CHECK (char_length("chains"."name") <= 80)
);
--> statement-breakpoint
ALTER TABLE "chains" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "shops" ADD COLUMN "chain_id" uuid;--> statement-breakpoint
ALTER TABLE "shops" ADD COLUMN "own_settings" jsonb;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "origin_id" uuid;--> statement-breakpoint
ALTER TABLE "car_codes" ADD CONSTRAINT "car_codes_own_vehicle" FOREIGN KEY ("shop_id","vehicle_id") REFERENCES "public"."vehicles"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "car_codes" ADD CONSTRAINT "car_codes_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "chain_leads" ADD CONSTRAINT "chain_leads_chain_id_chains_id_fk" FOREIGN KEY ("chain_id") REFERENCES "public"."chains"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "chain_leads" ADD CONSTRAINT "chain_leads_account_id_accounts_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."accounts"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "chain_log" ADD CONSTRAINT "chain_log_chain_id_chains_id_fk" FOREIGN KEY ("chain_id") REFERENCES "public"."chains"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "car_codes_shop_vehicle" ON "car_codes" USING btree ("shop_id","vehicle_id");--> statement-breakpoint
CREATE INDEX "car_codes_shop_person" ON "car_codes" USING btree ("shop_id","person_id");--> statement-breakpoint
CREATE INDEX "chain_leads_account" ON "chain_leads" USING btree ("account_id");--> statement-breakpoint
CREATE INDEX "chain_log_chain" ON "chain_log" USING btree ("chain_id","at");--> statement-breakpoint
ALTER TABLE "shops" ADD CONSTRAINT "shops_chain_id_chains_id_fk" FOREIGN KEY ("chain_id") REFERENCES "public"."chains"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "shops_chain" ON "shops" USING btree ("chain_id");--> statement-breakpoint
CREATE INDEX "visits_shop_origin" ON "visits" USING btree ("shop_id","origin_id") WHERE origin_id is not null;--> statement-breakpoint
CREATE POLICY "car_codes_own_shop" ON "car_codes" AS PERMISSIVE FOR ALL TO public USING ("car_codes"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("car_codes"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
CREATE POLICY "chain_leads_own_chain" ON "chain_leads" AS PERMISSIVE FOR SELECT TO public USING ("chain_leads"."chain_id" = (select chain_id from shops where shops.id = nullif(current_setting('keen.shop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "chain_log_own_chain" ON "chain_log" AS PERMISSIVE FOR SELECT TO public USING ("chain_log"."chain_id" = (select chain_id from shops where shops.id = nullif(current_setting('keen.shop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "chains_own_chain" ON "chains" AS PERMISSIVE FOR SELECT TO public USING ("chains"."id" = (select chain_id from shops where shops.id = nullif(current_setting('keen.shop', true), '')::uuid));
--> statement-breakpoint
-- A shop comes into a chain by functions of the owner only.
CREATE FUNCTION "keen_shop_chain"() RETURNS trigger
LANGUAGE plpgsql SET search_path = public, pg_temp AS $$
BEGIN
  IF pg_has_role(current_user, (SELECT relowner FROM pg_class WHERE oid = TG_RELID), 'USAGE') THEN RETURN NEW; END IF;
  IF TG_OP = 'INSERT' AND NEW.chain_id IS NULL THEN RETURN NEW; END IF;
  IF TG_OP = 'UPDATE' AND NEW.chain_id IS NOT DISTINCT FROM OLD.chain_id THEN RETURN NEW; END IF;
  RAISE insufficient_privilege USING MESSAGE = 'a shop does not choose its chain';
END
$$;
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_shop_chain() FROM PUBLIC;
--> statement-breakpoint
CREATE TRIGGER "shops_keep_chain" BEFORE INSERT OR UPDATE ON "shops" FOR EACH ROW EXECUTE FUNCTION keen_shop_chain();
--> statement-breakpoint
-- The chain of the shop at hand, for an account that leads it; everybody else is refused.
CREATE FUNCTION "keen_led_chain"(account uuid) RETURNS uuid
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  led uuid;
BEGIN
  SELECT chain_leads.chain_id INTO led
  FROM shops JOIN chain_leads ON chain_leads.chain_id = shops.chain_id AND chain_leads.account_id = account
  WHERE shops.id = nullif(current_setting('keen.shop', true), '')::uuid;
  IF led IS NULL THEN RAISE insufficient_privilege USING MESSAGE = 'leads no chain here'; END IF;
  RETURN led;
END
$$;
--> statement-breakpoint
-- Appends to the log of a chain, in the name that an account has in the shop at hand.
CREATE FUNCTION "keen_write_chain"(chain uuid, account uuid, kind text, what jsonb) RETURNS void
LANGUAGE sql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  INSERT INTO chain_log (id, chain_id, kind, by, what) VALUES (gen_random_uuid(), chain, kind, coalesce((
    SELECT people.name FROM people WHERE people.account_id = account
      AND people.shop_id = nullif(current_setting('keen.shop', true), '')::uuid), ''), what)
$$;
--> statement-breakpoint
-- A chain that begins with the shop at hand; nothing where the shop has one, or the account is not its lead.
CREATE FUNCTION "keen_make_chain"(account uuid, new_name text, new_settled jsonb) RETURNS uuid
LANGUAGE plpgsql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
  made uuid := gen_random_uuid();
BEGIN
  PERFORM 1 FROM shops WHERE id = shop AND chain_id IS NULL FOR UPDATE;
  IF NOT FOUND THEN RETURN NULL; END IF;
  PERFORM 1 FROM people WHERE account_id = account AND shop_id = shop AND role = 'lead' AND suspended_at IS NULL;
  IF NOT FOUND THEN RETURN NULL; END IF;
  INSERT INTO chains (id, name, settled) VALUES (made, new_name, new_settled);
  INSERT INTO chain_leads (chain_id, account_id) VALUES (made, account);
  UPDATE shops SET chain_id = made WHERE id = shop;
  PERFORM keen_write_chain(made, account, 'made', jsonb_build_array(new_name));
  RETURN made;
END
$$;
--> statement-breakpoint
-- One more shop of the chain; made up where the shop at hand is.
CREATE FUNCTION "keen_open_shop"(account uuid, new_shop uuid, new_name text, new_town text) RETURNS boolean
LANGUAGE plpgsql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  chain uuid := keen_led_chain(account);
BEGIN
  INSERT INTO shops (id, name, town, is_demo, chain_id)
  SELECT new_shop, new_name, new_town, is_demo, chain FROM shops
  WHERE id = nullif(current_setting('keen.shop', true), '')::uuid
  ON CONFLICT DO NOTHING;
  IF NOT FOUND THEN RETURN false; END IF;
  PERFORM keen_write_chain(chain, account, 'shopOpened', jsonb_build_array(new_name));
  RETURN true;
END
$$;
--> statement-breakpoint
-- What the chain has settled from now on, and its name; paths say what of it is new, and what is left to the shops.
CREATE FUNCTION "keen_settle"(account uuid, new_name text, new_settled jsonb, changed jsonb, let_go jsonb) RETURNS void
LANGUAGE plpgsql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  chain uuid := keen_led_chain(account);
  old_name text;
BEGIN
  SELECT name INTO old_name FROM chains WHERE id = chain;
  UPDATE chains SET name = new_name, settled = new_settled WHERE id = chain;
  IF old_name <> new_name THEN PERFORM keen_write_chain(chain, account, 'renamed', jsonb_build_array(new_name)); END IF;
  IF changed <> '[]' THEN PERFORM keen_write_chain(chain, account, 'settled', changed); END IF;
  IF let_go <> '[]' THEN PERFORM keen_write_chain(chain, account, 'left', let_go); END IF;
  -- Pages that are open in any of the shops hear of it.
  PERFORM pg_notify('keen_live', jsonb_build_object('shopId', id, 'kind', 'settings')::text)
  FROM shops WHERE chain_id = chain;
END
$$;
--> statement-breakpoint
-- Takes one chain's row for a change, so that two who settle something at once both keep theirs.
CREATE FUNCTION "keen_lock_chain"(account uuid) RETURNS uuid
LANGUAGE sql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT id FROM chains WHERE id = keen_led_chain(account) FOR UPDATE
$$;
--> statement-breakpoint
-- Makes somebody of one of the chain's shops a lead of the chain, or takes that back. In words how it went.
CREATE FUNCTION "keen_chain_lead"(account uuid, wanted text, leads boolean) RETURNS text
LANGUAGE plpgsql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  chain uuid := keen_lock_chain(account);
  other uuid;
BEGIN
  SELECT accounts.id INTO other FROM accounts JOIN people ON people.account_id = accounts.id
  JOIN shops ON shops.id = people.shop_id
  WHERE accounts.email = wanted AND shops.chain_id = chain AND people.suspended_at IS NULL LIMIT 1;
  IF other IS NULL THEN RETURN 'nobody'; END IF;
  IF leads THEN
    INSERT INTO chain_leads (chain_id, account_id) VALUES (chain, other) ON CONFLICT DO NOTHING;
    IF FOUND THEN PERFORM keen_write_chain(chain, account, 'leadAdded', jsonb_build_array(wanted)); END IF;
    RETURN 'done';
  END IF;
  IF (SELECT count(*) FROM chain_leads WHERE chain_id = chain AND account_id <> other) = 0 THEN RETURN 'last'; END IF;
  DELETE FROM chain_leads WHERE chain_id = chain AND account_id = other;
  IF FOUND THEN PERFORM keen_write_chain(chain, account, 'leadRemoved', jsonb_build_array(wanted)); END IF;
  RETURN 'done';
END
$$;
--> statement-breakpoint
-- Who leads the chain of the shop at hand, for one of them.
CREATE FUNCTION "keen_chain_leads"(account uuid) RETURNS TABLE (name text, email text, is_self boolean)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT coalesce((SELECT people.name FROM people WHERE people.account_id = accounts.id
                   ORDER BY people.created_at LIMIT 1), ''), accounts.email, accounts.id = account
  FROM chain_leads JOIN accounts ON accounts.id = chain_leads.account_id
  WHERE chain_leads.chain_id = keen_led_chain(account) ORDER BY chain_leads.created_at
$$;
--> statement-breakpoint
-- Numbers of each shop of the chain, and of nobody by name, for one of its leads.
CREATE FUNCTION "keen_chain_figures"(account uuid, first date, last date)
RETURNS TABLE (shop_id uuid, name text, town text, visits int, counts jsonb, own jsonb)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT shops.id, shops.name, shops.town, (
      SELECT count(*)::int FROM visits WHERE visits.shop_id = shops.id
        AND (first IS NULL OR visits.arrived_at >= first::timestamp AT TIME ZONE 'UTC')
        AND (last IS NULL OR visits.arrived_at < (last + 1)::timestamp AT TIME ZONE 'UTC')
    ), (
      SELECT coalesce(jsonb_agg(to_jsonb(sums)), '[]') FROM (
        SELECT days.advised, days.chosen, days.answer, sum(days.count)::int AS count FROM advice_days AS days
        WHERE days.shop_id = shops.id AND (first IS NULL OR days.day >= first) AND (last IS NULL OR days.day <= last)
        GROUP BY 1, 2, 3 HAVING sum(days.count) > 0
      ) AS sums
    ), coalesce(shops.own_settings, '{}')
  FROM shops WHERE shops.chain_id = keen_led_chain(account) ORDER BY shops.name, shops.town, shops.id
$$;
--> statement-breakpoint
-- Whether an account of other shops may be one of the shop at hand too. Links by which somebody may still choose its
-- password end, as whoever has one would come in here as well; an account without a password has nothing but those.
CREATE FUNCTION "keen_share"(account uuid) RETURNS boolean
LANGUAGE plpgsql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
BEGIN
  PERFORM 1 FROM people WHERE account_id = account AND shop_id <> shop;
  IF NOT FOUND THEN RETURN true; END IF;
  PERFORM 1 FROM accounts, shops
  WHERE accounts.id = account AND shops.id = shop AND accounts.password_hash IS NULL AND NOT shops.is_demo;
  IF FOUND THEN RETURN false; END IF;
  DELETE FROM password_links USING people
  WHERE people.id = password_links.person_id AND people.account_id = account AND password_links.used_at IS NULL;
  RETURN true;
END
$$;
--> statement-breakpoint
-- Whether an account's owner is a person of other shops than the one at hand, also of those that let them in no more.
CREATE FUNCTION "keen_works_elsewhere"(account uuid) RETURNS boolean
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT EXISTS (SELECT FROM people WHERE people.account_id = account
    AND people.shop_id IS DISTINCT FROM nullif(current_setting('keen.shop', true), '')::uuid)
$$;
--> statement-breakpoint
-- An account is also taken that works in another shop of the same chain.
CREATE OR REPLACE FUNCTION "keen_join"(wanted text, hash text) RETURNS uuid
LANGUAGE plpgsql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
  known uuid;
BEGIN
  INSERT INTO accounts (id, email, password_hash, last_shop_id) VALUES (gen_random_uuid(), wanted, hash, shop)
  ON CONFLICT (email) DO NOTHING RETURNING id INTO known;
  IF known IS NOT NULL THEN RETURN known; END IF;
  SELECT accounts.id INTO known FROM accounts JOIN people ON people.account_id = accounts.id
  JOIN shops ON shops.id = people.shop_id
  WHERE accounts.email = wanted
    AND (shops.id = shop OR shops.chain_id = (SELECT here.chain_id FROM shops AS here WHERE here.id = shop))
  LIMIT 1;
  IF known IS NOT NULL AND NOT keen_share(known) THEN RETURN NULL; END IF;
  RETURN known;
END
$$;
--> statement-breakpoint
-- A customer's code is used: says which car of which shop of the same chain comes here, once.
CREATE FUNCTION "keen_use_car_code"(wanted text) RETURNS TABLE (shop_id uuid, vehicle_id uuid)
LANGUAGE sql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  UPDATE car_codes SET used_at = now(), taken_by = here.name
  FROM shops AS here, shops AS there
  WHERE here.id = nullif(current_setting('keen.shop', true), '')::uuid AND there.id = car_codes.shop_id
    AND here.chain_id = there.chain_id AND here.id <> there.id
    AND car_codes.hash = wanted AND car_codes.used_at IS NULL AND car_codes.ends_at > now()
  RETURNING car_codes.shop_id, car_codes.vehicle_id
$$;
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_led_chain(uuid), keen_write_chain(uuid, uuid, text, jsonb),
  keen_make_chain(uuid, text, jsonb), keen_open_shop(uuid, uuid, text, text),
  keen_settle(uuid, text, jsonb, jsonb, jsonb), keen_lock_chain(uuid), keen_chain_lead(uuid, text, boolean),
  keen_chain_leads(uuid), keen_chain_figures(uuid, date, date), keen_share(uuid), keen_works_elsewhere(uuid),
  keen_use_car_code(text) FROM PUBLIC;
