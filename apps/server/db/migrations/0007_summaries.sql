CREATE TABLE "unit_summaries" (
	"unit_id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"measures" jsonb NOT NULL,
	"repairs" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "visit_summaries" (
	"visit_id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"call" jsonb NOT NULL,
	"words" text NOT NULL
);
--> statement-breakpoint
DROP INDEX "entries_by_kind";--> statement-breakpoint
DROP INDEX "entries_by_words";--> statement-breakpoint
ALTER TABLE "unit_summaries" ADD CONSTRAINT "unit_summaries_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "unit_summaries" ADD CONSTRAINT "unit_summaries_shop_id_unit_id_units_shop_id_id_fk" FOREIGN KEY ("shop_id","unit_id") REFERENCES "public"."units"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit_summaries" ADD CONSTRAINT "visit_summaries_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit_summaries" ADD CONSTRAINT "visit_summaries_shop_id_visit_id_visits_shop_id_id_fk" FOREIGN KEY ("shop_id","visit_id") REFERENCES "public"."visits"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "unit_summaries_of_shop" ON "unit_summaries" USING btree ("shop_id");--> statement-breakpoint
CREATE INDEX "visits_by_words" ON "visit_summaries" USING gin (to_tsvector('simple', "words"));--> statement-breakpoint
CREATE INDEX "visits_newest" ON "visits" USING btree ("shop_id","started_at");--> statement-breakpoint
CREATE INDEX "visits_of_unit" ON "visits" USING btree ("unit_id");