-- By what somebody signs in is one account; in each shop where they work they are one of its people.
CREATE TABLE "accounts" (
	"id" uuid PRIMARY KEY NOT NULL,
	"email" text NOT NULL,
	"password_hash" text,
	"totp_secret" text,
	"totp_last_step" text,
	"recovery_hashes" jsonb,
	"last_shop_id" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "accounts_email_unique" UNIQUE("email"),
	CONSTRAINT "accounts_email" CHECK (char_length("accounts"."email") <= 200)
);
--> statement-breakpoint
ALTER TABLE "accounts" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
-- Until now everybody worked in one shop: the account has the person's id.
INSERT INTO "accounts" ("id", "email", "password_hash", "totp_secret", "totp_last_step", "recovery_hashes", "last_shop_id", "created_at")
SELECT "id", "email", "password_hash", "totp_secret", "totp_last_step", "recovery_hashes", "shop_id", "created_at" FROM "people";
--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "account_id" uuid;
--> statement-breakpoint
UPDATE "people" SET "account_id" = "id";
--> statement-breakpoint
ALTER TABLE "people" ALTER COLUMN "account_id" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_account_shop" UNIQUE("account_id","shop_id");
--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_account_id_accounts_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."accounts"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
-- Sessions know the account since now: those that are open get it.
UPDATE "session" SET "sess" = jsonb_set("sess"::jsonb, '{accountId}', "sess"::jsonb->'personId')::json
WHERE "sess"->>'personId' IS NOT NULL;
--> statement-breakpoint
CREATE INDEX "session_account" ON "session" USING btree (("sess"->>'accountId'));
--> statement-breakpoint
DROP FUNCTION "keen_sign_in"(text);
--> statement-breakpoint
ALTER TABLE "people" DROP CONSTRAINT "people_email_unique";
--> statement-breakpoint
ALTER TABLE "people" DROP CONSTRAINT "people_email";
--> statement-breakpoint
ALTER TABLE "people" DROP COLUMN "email", DROP COLUMN "password_hash", DROP COLUMN "totp_secret",
  DROP COLUMN "totp_last_step", DROP COLUMN "recovery_hashes";
--> statement-breakpoint
CREATE POLICY "accounts_own_people" ON "accounts" AS PERMISSIVE FOR ALL TO public USING (exists (select from people where people.account_id = accounts.id and people.shop_id = nullif(current_setting('keen.shop', true), '')::uuid)) WITH CHECK (exists (select from people where people.account_id = accounts.id and people.shop_id = nullif(current_setting('keen.shop', true), '')::uuid));
--> statement-breakpoint
-- Signing in opens the shop where one worked last, among those where one may come in.
CREATE FUNCTION "keen_sign_in"(wanted text)
RETURNS TABLE (account_id uuid, password_hash text, person_id uuid, shop_id uuid)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT accounts.id, accounts.password_hash, people.id, people.shop_id
  FROM accounts JOIN people ON people.account_id = accounts.id
  WHERE accounts.email = wanted
  ORDER BY people.suspended_at IS NOT NULL, (people.shop_id = accounts.last_shop_id) IS NOT TRUE, people.created_at
  LIMIT 1
$$;
--> statement-breakpoint
-- Where an account's owner works: in each shop a person.
CREATE FUNCTION "keen_places"(wanted uuid)
RETURNS TABLE (person_id uuid, shop_id uuid, name text, town text, role text)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT people.id, people.shop_id, shops.name, shops.town, people.role
  FROM people JOIN shops ON shops.id = people.shop_id
  WHERE people.account_id = wanted AND people.suspended_at IS NULL
  ORDER BY shops.name, shops.town, people.shop_id
$$;
--> statement-breakpoint
-- The account of somebody whom the shop at hand lets in: a new one, or the one that they have here already.
-- Nothing for somebody who signs in elsewhere: no shop reaches into another's people.
CREATE FUNCTION "keen_join"(wanted text, hash text) RETURNS uuid
LANGUAGE plpgsql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
  known uuid;
BEGIN
  INSERT INTO accounts (id, email, password_hash, last_shop_id) VALUES (gen_random_uuid(), wanted, hash, shop)
  ON CONFLICT (email) DO NOTHING RETURNING id INTO known;
  IF known IS NOT NULL THEN RETURN known; END IF;
  SELECT accounts.id INTO known FROM accounts JOIN people ON people.account_id = accounts.id
  WHERE accounts.email = wanted AND people.shop_id = shop;
  RETURN known;
END
$$;
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_sign_in(text), keen_places(uuid), keen_join(text, text) FROM PUBLIC;
