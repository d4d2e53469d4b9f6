CREATE TABLE "diagrams" (
	"shop_id" uuid NOT NULL,
	"id" text NOT NULL,
	"title" text NOT NULL,
	"ladder" text NOT NULL,
	CONSTRAINT "diagrams_in_shop" UNIQUE("shop_id","id")
);
--> statement-breakpoint
CREATE TABLE "entries" (
	"sequence" bigserial PRIMARY KEY NOT NULL,
	"id" uuid NOT NULL,
	"shop_id" uuid NOT NULL,
	"visit_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"clock_wall" bigint NOT NULL,
	"clock_counter" integer NOT NULL,
	"clock_device" text NOT NULL,
	"body" jsonb NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "entries_id_unique" UNIQUE("id")
);
--> statement-breakpoint
CREATE TABLE "people" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"password_hash" text NOT NULL,
	CONSTRAINT "people_email_unique" UNIQUE("email"),
	CONSTRAINT "people_in_shop" UNIQUE("shop_id","id")
);
--> statement-breakpoint
CREATE TABLE "session" (
	"sid" varchar PRIMARY KEY NOT NULL,
	"sess" json NOT NULL,
	"expire" timestamp (6) NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shops" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sites" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"name" text NOT NULL,
	"address" text NOT NULL,
	"access" text DEFAULT '' NOT NULL,
	CONSTRAINT "sites_in_shop" UNIQUE("shop_id","id")
);
--> statement-breakpoint
CREATE TABLE "units" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"site_id" uuid NOT NULL,
	"label" text NOT NULL,
	"place" text NOT NULL,
	"diagram_id" text NOT NULL,
	"make" text NOT NULL,
	"serial" text NOT NULL,
	"installed" date NOT NULL,
	CONSTRAINT "units_in_shop" UNIQUE("shop_id","id")
);
--> statement-breakpoint
CREATE TABLE "visits" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"unit_id" uuid NOT NULL,
	"started_by" uuid NOT NULL,
	"started_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "visits_in_shop" UNIQUE("shop_id","id")
);
--> statement-breakpoint
ALTER TABLE "diagrams" ADD CONSTRAINT "diagrams_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_shop_id_visit_id_visits_shop_id_id_fk" FOREIGN KEY ("shop_id","visit_id") REFERENCES "public"."visits"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_shop_id_person_id_people_shop_id_id_fk" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sites" ADD CONSTRAINT "sites_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "units" ADD CONSTRAINT "units_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "units" ADD CONSTRAINT "units_shop_id_site_id_sites_shop_id_id_fk" FOREIGN KEY ("shop_id","site_id") REFERENCES "public"."sites"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "units" ADD CONSTRAINT "units_shop_id_diagram_id_diagrams_shop_id_id_fk" FOREIGN KEY ("shop_id","diagram_id") REFERENCES "public"."diagrams"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visits" ADD CONSTRAINT "visits_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visits" ADD CONSTRAINT "visits_shop_id_unit_id_units_shop_id_id_fk" FOREIGN KEY ("shop_id","unit_id") REFERENCES "public"."units"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visits" ADD CONSTRAINT "visits_shop_id_started_by_people_shop_id_id_fk" FOREIGN KEY ("shop_id","started_by") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "entries_of_visit" ON "entries" USING btree ("visit_id","sequence");--> statement-breakpoint
CREATE INDEX "session_expire" ON "session" USING btree ("expire");--> statement-breakpoint
CREATE FUNCTION "refuse_change"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	RAISE EXCEPTION 'entries are only added, never changed or removed';
END;
$$;
--> statement-breakpoint
CREATE TRIGGER "entries_append_only" BEFORE UPDATE OR DELETE OR TRUNCATE ON "entries" EXECUTE FUNCTION "refuse_change"();
