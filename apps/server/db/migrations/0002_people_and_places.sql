CREATE TABLE "links" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"made_by" uuid NOT NULL,
	"person_id" uuid,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"role" text NOT NULL,
	"site_id" uuid,
	"expires_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "place_edits" (
	"sequence" bigserial PRIMARY KEY NOT NULL,
	"id" uuid NOT NULL,
	"shop_id" uuid NOT NULL,
	"person_id" uuid,
	"of" text NOT NULL,
	"place_id" uuid NOT NULL,
	"changes" jsonb NOT NULL,
	"clock_wall" bigint NOT NULL,
	"clock_counter" integer NOT NULL,
	"clock_device" text NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "place_edits_id_unique" UNIQUE("id")
);
--> statement-breakpoint
CREATE TABLE "security_events" (
	"sequence" bigserial PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"person_id" uuid,
	"what" text NOT NULL,
	"about" text DEFAULT '' NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sign_in_failures" (
	"email" text PRIMARY KEY NOT NULL,
	"failures" integer NOT NULL,
	"last_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "units" ALTER COLUMN "installed" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "diagrams" ADD COLUMN "follows" text;--> statement-breakpoint
ALTER TABLE "diagrams" ADD COLUMN "made_by" uuid;--> statement-breakpoint
ALTER TABLE "diagrams" ADD COLUMN "made_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "role" text DEFAULT 'technician' NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "site_id" uuid;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "closed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "archived" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "units" ADD COLUMN "archived" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "diagram_id" text;--> statement-breakpoint
-- a visit before this kept no version: it is of the circuit that its unit has
UPDATE "visits" SET "diagram_id" = "units"."diagram_id" FROM "units" WHERE "units"."id" = "visits"."unit_id";--> statement-breakpoint
ALTER TABLE "visits" ALTER COLUMN "diagram_id" SET NOT NULL;--> statement-breakpoint
-- everybody could do everything before there were roles: one owner a shop, the others lead
UPDATE "people" SET "role" = 'lead';--> statement-breakpoint
UPDATE "people" SET "role" = 'owner' WHERE "id" IN (SELECT DISTINCT ON ("shop_id") "id" FROM "people" ORDER BY "shop_id", "email");--> statement-breakpoint
-- places that were there before edits were kept: as they stand
INSERT INTO "place_edits" ("id", "shop_id", "of", "place_id", "changes", "clock_wall", "clock_counter", "clock_device")
SELECT gen_random_uuid(), "shop_id", 'site', "id", jsonb_build_array(
	jsonb_build_object('field', 'name', 'from', '', 'to', "name"),
	jsonb_build_object('field', 'address', 'from', '', 'to', "address"),
	jsonb_build_object('field', 'access', 'from', '', 'to', "access")), 0, 0, 'before' FROM "sites";--> statement-breakpoint
INSERT INTO "place_edits" ("id", "shop_id", "of", "place_id", "changes", "clock_wall", "clock_counter", "clock_device")
SELECT gen_random_uuid(), "shop_id", 'unit', "id", jsonb_build_array(
	jsonb_build_object('field', 'site', 'from', '', 'to', "site_id"),
	jsonb_build_object('field', 'label', 'from', '', 'to', "label"),
	jsonb_build_object('field', 'place', 'from', '', 'to', "place"),
	jsonb_build_object('field', 'diagram', 'from', '', 'to', "diagram_id"),
	jsonb_build_object('field', 'make', 'from', '', 'to', "make"),
	jsonb_build_object('field', 'serial', 'from', '', 'to', "serial"),
	jsonb_build_object('field', 'installed', 'from', '', 'to', "installed"::text)), 0, 0, 'before' FROM "units";--> statement-breakpoint
CREATE OR REPLACE FUNCTION "refuse_change"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	RAISE EXCEPTION '% are only added, never changed or removed', TG_TABLE_NAME;
END;
$$;--> statement-breakpoint
CREATE TRIGGER "place_edits_append_only" BEFORE UPDATE OR DELETE OR TRUNCATE ON "place_edits" EXECUTE FUNCTION "refuse_change"();--> statement-breakpoint
CREATE TRIGGER "security_events_append_only" BEFORE UPDATE OR DELETE OR TRUNCATE ON "security_events" EXECUTE FUNCTION "refuse_change"();--> statement-breakpoint
CREATE TRIGGER "diagrams_append_only" BEFORE UPDATE OR DELETE OR TRUNCATE ON "diagrams" EXECUTE FUNCTION "refuse_change"();--> statement-breakpoint
ALTER TABLE "links" ADD CONSTRAINT "links_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "links" ADD CONSTRAINT "links_shop_id_made_by_people_shop_id_id_fk" FOREIGN KEY ("shop_id","made_by") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "links" ADD CONSTRAINT "links_shop_id_person_id_people_shop_id_id_fk" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "links" ADD CONSTRAINT "links_shop_id_site_id_sites_shop_id_id_fk" FOREIGN KEY ("shop_id","site_id") REFERENCES "public"."sites"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "place_edits" ADD CONSTRAINT "place_edits_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "place_edits" ADD CONSTRAINT "place_edits_shop_id_person_id_people_shop_id_id_fk" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "security_events" ADD CONSTRAINT "security_events_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "security_events" ADD CONSTRAINT "security_events_shop_id_person_id_people_shop_id_id_fk" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "place_edits_of_place" ON "place_edits" USING btree ("shop_id","place_id");--> statement-breakpoint
CREATE INDEX "security_events_of_shop" ON "security_events" USING btree ("shop_id","sequence");--> statement-breakpoint
ALTER TABLE "diagrams" ADD CONSTRAINT "diagrams_shop_id_made_by_people_shop_id_id_fk" FOREIGN KEY ("shop_id","made_by") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_shop_id_site_id_sites_shop_id_id_fk" FOREIGN KEY ("shop_id","site_id") REFERENCES "public"."sites"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visits" ADD CONSTRAINT "visits_shop_id_diagram_id_diagrams_shop_id_id_fk" FOREIGN KEY ("shop_id","diagram_id") REFERENCES "public"."diagrams"("shop_id","id") ON DELETE no action ON UPDATE no action;