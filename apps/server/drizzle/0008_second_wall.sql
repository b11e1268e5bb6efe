CREATE TABLE "audit_log" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"person_id" uuid,
	"kind" text NOT NULL,
	"detail" jsonb NOT NULL,
	"address" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "audit_log_kind" CHECK (char_length("audit_log"."kind") <= 40)
);
--> statement-breakpoint
ALTER TABLE "audit_log" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE TABLE "password_links" (
	"hash" text PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"ends_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "password_links" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "decisions" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "entries" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "people" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "photos" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "sheet_links" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "shop_logos" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "shops" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "spec_sheets" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "vehicles" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "visits" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE "decisions" DROP CONSTRAINT "decisions_shop_id_shops_id_fk";
--> statement-breakpoint
ALTER TABLE "decisions" DROP CONSTRAINT "decisions_visit_id_visits_id_fk";
--> statement-breakpoint
ALTER TABLE "decisions" DROP CONSTRAINT "decisions_person_id_people_id_fk";
--> statement-breakpoint
ALTER TABLE "entries" DROP CONSTRAINT "entries_shop_id_shops_id_fk";
--> statement-breakpoint
ALTER TABLE "entries" DROP CONSTRAINT "entries_visit_id_visits_id_fk";
--> statement-breakpoint
ALTER TABLE "entries" DROP CONSTRAINT "entries_person_id_people_id_fk";
--> statement-breakpoint
ALTER TABLE "photos" DROP CONSTRAINT "photos_shop_id_shops_id_fk";
--> statement-breakpoint
ALTER TABLE "photos" DROP CONSTRAINT "photos_visit_id_visits_id_fk";
--> statement-breakpoint
ALTER TABLE "photos" DROP CONSTRAINT "photos_person_id_people_id_fk";
--> statement-breakpoint
ALTER TABLE "sheet_links" DROP CONSTRAINT "sheet_links_shop_id_shops_id_fk";
--> statement-breakpoint
ALTER TABLE "sheet_links" DROP CONSTRAINT "sheet_links_visit_id_visits_id_fk";
--> statement-breakpoint
ALTER TABLE "sheet_links" DROP CONSTRAINT "sheet_links_person_id_people_id_fk";
--> statement-breakpoint
ALTER TABLE "spec_sheets" DROP CONSTRAINT "spec_sheets_shop_id_shops_id_fk";
--> statement-breakpoint
ALTER TABLE "spec_sheets" DROP CONSTRAINT "spec_sheets_person_id_people_id_fk";
--> statement-breakpoint
ALTER TABLE "visits" DROP CONSTRAINT "visits_shop_id_shops_id_fk";
--> statement-breakpoint
ALTER TABLE "visits" DROP CONSTRAINT "visits_vehicle_id_vehicles_id_fk";
--> statement-breakpoint
DROP INDEX "people_shop";
--> statement-breakpoint
DROP INDEX "vehicles_shop";
--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "suspended_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "totp_secret" text;
--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "totp_last_step" text;
--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "recovery_hashes" jsonb;
--> statement-breakpoint
ALTER TABLE "sign_in_tries" ADD COLUMN "address" text DEFAULT '' NOT NULL;
--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "erased_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_shop_id" UNIQUE("shop_id","id");
--> statement-breakpoint
ALTER TABLE "vehicles" ADD CONSTRAINT "vehicles_shop_id" UNIQUE("shop_id","id");
--> statement-breakpoint
ALTER TABLE "visits" ADD CONSTRAINT "visits_shop_id" UNIQUE("shop_id","id");
--> statement-breakpoint
ALTER TABLE "audit_log" ADD CONSTRAINT "audit_log_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "audit_log" ADD CONSTRAINT "audit_log_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "password_links" ADD CONSTRAINT "password_links_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
CREATE INDEX "audit_log_shop_at" ON "audit_log" USING btree ("shop_id","at");
--> statement-breakpoint
CREATE INDEX "audit_log_shop_person" ON "audit_log" USING btree ("shop_id","person_id");
--> statement-breakpoint
CREATE INDEX "password_links_shop_person" ON "password_links" USING btree ("shop_id","person_id");
--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_own_visit" FOREIGN KEY ("shop_id","visit_id") REFERENCES "public"."visits"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_own_visit" FOREIGN KEY ("shop_id","visit_id") REFERENCES "public"."visits"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_own_visit" FOREIGN KEY ("shop_id","visit_id") REFERENCES "public"."visits"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "sheet_links" ADD CONSTRAINT "sheet_links_own_visit" FOREIGN KEY ("shop_id","visit_id") REFERENCES "public"."visits"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "sheet_links" ADD CONSTRAINT "sheet_links_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "spec_sheets" ADD CONSTRAINT "spec_sheets_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "visits" ADD CONSTRAINT "visits_own_vehicle" FOREIGN KEY ("shop_id","vehicle_id") REFERENCES "public"."vehicles"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
CREATE INDEX "decisions_shop_visit" ON "decisions" USING btree ("shop_id","visit_id");
--> statement-breakpoint
CREATE INDEX "decisions_shop_person" ON "decisions" USING btree ("shop_id","person_id");
--> statement-breakpoint
CREATE INDEX "entries_shop_visit" ON "entries" USING btree ("shop_id","visit_id");
--> statement-breakpoint
CREATE INDEX "entries_shop_person" ON "entries" USING btree ("shop_id","person_id");
--> statement-breakpoint
CREATE INDEX "photos_shop_visit" ON "photos" USING btree ("shop_id","visit_id");
--> statement-breakpoint
CREATE INDEX "photos_shop_person" ON "photos" USING btree ("shop_id","person_id");
--> statement-breakpoint
CREATE INDEX "sheet_links_shop_visit" ON "sheet_links" USING btree ("shop_id","visit_id");
--> statement-breakpoint
CREATE INDEX "sheet_links_shop_person" ON "sheet_links" USING btree ("shop_id","person_id");
--> statement-breakpoint
CREATE INDEX "sign_in_tries_address_at" ON "sign_in_tries" USING btree ("address","at");
--> statement-breakpoint
CREATE INDEX "sign_in_tries_at" ON "sign_in_tries" USING btree ("at");
--> statement-breakpoint
CREATE INDEX "spec_sheets_shop_person" ON "spec_sheets" USING btree ("shop_id","person_id");
--> statement-breakpoint
CREATE INDEX "visits_shop_vehicle" ON "visits" USING btree ("shop_id","vehicle_id");
--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_action" CHECK ("decisions"."action" in ('fitOnly', 'checkAlignment', 'align', 'partsThenAlign', 'inflateAndWatch', 'balanceOrDampers'));
--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_advised" CHECK ("decisions"."advised" in ('fitOnly', 'checkAlignment', 'align', 'partsThenAlign', 'inflateAndWatch', 'balanceOrDampers'));
--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_answer" CHECK ("decisions"."answer" in ('yes', 'no', 'open'));
--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_reason" CHECK (char_length("decisions"."reason") <= 500);
--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_entry_seq" CHECK ("decisions"."entry_seq" >= 0);
--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_seq" CHECK ("entries"."seq" >= 0);
--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_path" CHECK (char_length("entries"."path") <= 80);
--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_role" CHECK ("people"."role" in ('advisor', 'technician', 'lead'));
--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_name" CHECK (char_length("people"."name") <= 80);
--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_email" CHECK (char_length("people"."email") <= 200);
--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_type" CHECK ("photos"."type" in ('image/jpeg', 'image/png'));
--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_subject" CHECK (char_length("photos"."subject") <= 80);
--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_bytes" CHECK ("photos"."bytes" >= 0);
--> statement-breakpoint
ALTER TABLE "sheet_links" ADD CONSTRAINT "sheet_links_opened" CHECK ("sheet_links"."opened" >= 0);
--> statement-breakpoint
ALTER TABLE "shop_logos" ADD CONSTRAINT "shop_logos_type" CHECK ("shop_logos"."type" in ('image/jpeg', 'image/png'));
--> statement-breakpoint
ALTER TABLE "shops" ADD CONSTRAINT "shops_name" CHECK (char_length("shops"."name") <= 80);
--> statement-breakpoint
ALTER TABLE "shops" ADD CONSTRAINT "shops_town" CHECK (char_length("shops"."town") <= 80);
--> statement-breakpoint
ALTER TABLE "spec_sheets" ADD CONSTRAINT "spec_sheets_revision_number" CHECK ("spec_sheets"."revision" >= 1);
--> statement-breakpoint
ALTER TABLE "vehicles" ADD CONSTRAINT "vehicles_plate" CHECK (char_length("vehicles"."plate") <= 40);
--> statement-breakpoint
ALTER TABLE "vehicles" ADD CONSTRAINT "vehicles_label" CHECK (char_length("vehicles"."label") <= 120);
--> statement-breakpoint
ALTER TABLE "vehicles" ADD CONSTRAINT "vehicles_customer" CHECK (char_length("vehicles"."customer") <= 120);
--> statement-breakpoint
ALTER TABLE "vehicles" ADD CONSTRAINT "vehicles_phone" CHECK (char_length("vehicles"."phone") <= 30);
--> statement-breakpoint
ALTER TABLE "vehicles" ADD CONSTRAINT "vehicles_vin" CHECK (char_length("vehicles"."vin") <= 17);
--> statement-breakpoint
ALTER TABLE "visits" ADD CONSTRAINT "visits_number" CHECK ("visits"."number" >= 1);
--> statement-breakpoint
ALTER TABLE "visits" ADD CONSTRAINT "visits_seq" CHECK ("visits"."seq" >= 0);
--> statement-breakpoint
CREATE POLICY "decisions_own_shop" ON "decisions" AS PERMISSIVE FOR ALL TO public USING ("decisions"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("decisions"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "entries_own_shop" ON "entries" AS PERMISSIVE FOR ALL TO public USING ("entries"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("entries"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "people_own_shop" ON "people" AS PERMISSIVE FOR ALL TO public USING ("people"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("people"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "photos_own_shop" ON "photos" AS PERMISSIVE FOR ALL TO public USING ("photos"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("photos"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "sheet_links_own_shop" ON "sheet_links" AS PERMISSIVE FOR ALL TO public USING ("sheet_links"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("sheet_links"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "shop_logos_own_shop" ON "shop_logos" AS PERMISSIVE FOR ALL TO public USING ("shop_logos"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("shop_logos"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "shops_own_shop" ON "shops" AS PERMISSIVE FOR ALL TO public USING ("shops"."id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("shops"."id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "spec_sheets_own_shop" ON "spec_sheets" AS PERMISSIVE FOR ALL TO public USING ("spec_sheets"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("spec_sheets"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "vehicles_own_shop" ON "vehicles" AS PERMISSIVE FOR ALL TO public USING ("vehicles"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("vehicles"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "visits_own_shop" ON "visits" AS PERMISSIVE FOR ALL TO public USING ("visits"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("visits"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "audit_log_own_shop" ON "audit_log" AS PERMISSIVE FOR ALL TO public USING ("audit_log"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("audit_log"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "password_links_own_shop" ON "password_links" AS PERMISSIVE FOR ALL TO public USING ("password_links"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("password_links"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
-- Sessions know the role since now: those that are open get it.
UPDATE "session" SET "sess" = jsonb_set("sess"::jsonb, '{role}', to_jsonb("people"."role"))::json
FROM "people" WHERE "people"."id"::text = "sess"->>'personId';
--> statement-breakpoint
CREATE INDEX "session_person" ON "session" USING btree (("sess"->>'personId'));
--> statement-breakpoint
-- What is needed before anybody is signed in, and so before a shop is known. Each function gives just its
-- answer; the rows behind it stay behind the wall.
CREATE FUNCTION "keen_front_door"() RETURNS jsonb
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT jsonb_build_object(
    'shops', (SELECT count(*) FROM shops),
    'demo', (
      SELECT jsonb_build_object('shopName', shops.name, 'people', (
        SELECT coalesce(jsonb_agg(jsonb_build_object('id', people.id, 'name', people.name, 'role', people.role)
                                  ORDER BY people.role, people.name), '[]')
        FROM people WHERE people.shop_id = shops.id AND people.suspended_at IS NULL))
      FROM shops WHERE shops.is_demo ORDER BY shops.created_at LIMIT 1))
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_sign_in"(wanted text)
RETURNS TABLE (id uuid, shop_id uuid, password_hash text)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT people.id, people.shop_id, people.password_hash FROM people WHERE people.email = wanted
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_demo_person"(wanted uuid) RETURNS TABLE (shop_id uuid)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT people.shop_id FROM people JOIN shops ON shops.id = people.shop_id
  WHERE people.id = wanted AND shops.is_demo
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_password_link"(wanted text) RETURNS TABLE (shop_id uuid, person_id uuid)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT password_links.shop_id, password_links.person_id FROM password_links
  WHERE password_links.hash = wanted AND password_links.used_at IS NULL AND password_links.ends_at > now()
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_shared_sheet"(wanted text) RETURNS TABLE (paper jsonb, ends_at timestamptz)
LANGUAGE sql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  UPDATE sheet_links SET opened = opened + 1
  WHERE sheet_links.token = wanted AND sheet_links.ends_at > now()
  RETURNING sheet_links.paper, sheet_links.ends_at
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_shop_ids"() RETURNS SETOF uuid
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT id FROM shops
$$;
--> statement-breakpoint
-- The one way in which appended rows change: a customer is erased, of the shop at hand. Readings stay.
CREATE FUNCTION "keen_erase_customer"(car uuid, personal_paths text[]) RETURNS boolean
LANGUAGE plpgsql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
BEGIN
  UPDATE vehicles SET plate = 'ERASED ' || left(id::text, 8), plate_key = 'ERASED' || upper(left(id::text, 8)),
    customer = '', phone = '', vin = '', erased_at = now()
  WHERE id = car AND shop_id = shop;
  IF NOT FOUND THEN RETURN false; END IF;
  UPDATE entries SET value = NULL FROM visits
  WHERE visits.id = entries.visit_id AND visits.vehicle_id = car AND visits.shop_id = shop
    AND entries.path = ANY (personal_paths);
  -- An estimate keeps its lines and amounts; name, signature and the customer's words go.
  UPDATE entries SET value = jsonb_set(entries.value - 'signed', '{lines}', (
      SELECT coalesce(jsonb_agg(line - 'reason' ORDER BY place), '[]')
      FROM jsonb_array_elements(entries.value -> 'lines') WITH ORDINALITY AS lines (line, place)))
  FROM visits
  WHERE visits.id = entries.visit_id AND visits.vehicle_id = car AND visits.shop_id = shop
    AND entries.path = 'visit.estimate' AND jsonb_typeof(entries.value -> 'lines') = 'array';
  UPDATE decisions SET reason = '' FROM visits
  WHERE visits.id = decisions.visit_id AND visits.vehicle_id = car AND visits.shop_id = shop;
  DELETE FROM photos USING visits
  WHERE visits.id = photos.visit_id AND visits.vehicle_id = car AND visits.shop_id = shop;
  DELETE FROM sheet_links USING visits
  WHERE visits.id = sheet_links.visit_id AND visits.vehicle_id = car AND visits.shop_id = shop;
  RETURN true;
END
$$;
--> statement-breakpoint
-- Functions of the owner are nobody's by default; the app's role is granted them at the start.
REVOKE EXECUTE ON FUNCTION keen_front_door(), keen_sign_in(text), keen_demo_person(uuid), keen_password_link(text),
  keen_shared_sheet(text), keen_shop_ids(), keen_erase_customer(uuid, text[]) FROM PUBLIC;
