ALTER TABLE "diagrams" ADD COLUMN "why" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "units" ADD COLUMN "plan_id" text;--> statement-breakpoint
ALTER TABLE "units" ADD CONSTRAINT "units_shop_id_plan_id_diagrams_shop_id_id_fk" FOREIGN KEY ("shop_id","plan_id") REFERENCES "public"."diagrams"("shop_id","id") ON DELETE no action ON UPDATE no action;