ALTER TABLE "photos" ADD COLUMN "written_anew" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "photos" ADD COLUMN "taken_at" timestamp with time zone;