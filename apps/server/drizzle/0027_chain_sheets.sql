CREATE TABLE "chain_sheets" (
	"id" uuid PRIMARY KEY NOT NULL,
	"chain_id" uuid NOT NULL,
	"sheet_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"sheet" jsonb NOT NULL,
	"retired" boolean NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "chain_sheets_revision_number" CHECK ("chain_sheets"."revision" >= 1)
);
--> statement-breakpoint
ALTER TABLE "chain_sheets" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "chain_log" DROP CONSTRAINT "chain_log_kind";--> statement-breakpoint
ALTER TABLE "spec_sheets" ADD COLUMN "follows_chain" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "chain_sheets" ADD CONSTRAINT "chain_sheets_chain_id_chains_id_fk" FOREIGN KEY ("chain_id") REFERENCES "public"."chains"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "chain_sheets_revision" ON "chain_sheets" USING btree ("chain_id","sheet_id","revision");--> statement-breakpoint
ALTER TABLE "chain_log" ADD CONSTRAINT "chain_log_kind" CHECK ("chain_log"."kind" in ('made', 'renamed', 'shopOpened', 'settled', 'left', 'leadAdded', 'leadRemoved', 'sheetGiven'));--> statement-breakpoint
CREATE POLICY "chain_sheets_own_chain" ON "chain_sheets" AS PERMISSIVE FOR SELECT TO public USING ("chain_sheets"."chain_id" = (select chain_id from shops where shops.id = nullif(current_setting('keen.shop', true), '')::uuid));
--> statement-breakpoint
-- Gives a sheet of the shop at hand, as it is now, to all shops of the chain. The shop follows the chain's from now on.
CREATE FUNCTION "keen_give_sheet"(account uuid, wanted uuid) RETURNS boolean
LANGUAGE plpgsql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
  chain uuid := keen_lock_chain(account);
  own spec_sheets%ROWTYPE;
  writer people%ROWTYPE;
  next int;
BEGIN
  SELECT * INTO own FROM spec_sheets WHERE shop_id = shop AND sheet_id = wanted ORDER BY revision DESC LIMIT 1;
  IF own.id IS NULL OR own.follows_chain THEN RETURN false; END IF;
  SELECT * INTO writer FROM people WHERE account_id = account AND shop_id = shop;
  SELECT greatest(own.revision, coalesce(max(revision), 0)) + 1 INTO next FROM chain_sheets
  WHERE chain_id = chain AND sheet_id = wanted;
  INSERT INTO chain_sheets (id, chain_id, sheet_id, revision, sheet, retired, by)
  VALUES (gen_random_uuid(), chain, wanted, next, own.sheet, own.retired, writer.name);
  INSERT INTO spec_sheets (id, shop_id, sheet_id, revision, sheet, retired, follows_chain, person_id)
  VALUES (gen_random_uuid(), shop, wanted, next, own.sheet, own.retired, true, writer.id);
  PERFORM keen_write_chain(chain, account, 'sheetGiven', jsonb_build_array(own.sheet ->> 'name'));
  PERFORM pg_notify('keen_live', jsonb_build_object('shopId', id, 'kind', 'sheets')::text)
  FROM shops WHERE chain_id = chain;
  RETURN true;
END
$$;
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_give_sheet(uuid, uuid) FROM PUBLIC;
