CREATE TABLE "answers" (
	"key" uuid PRIMARY KEY NOT NULL,
	"boat_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "photos" (
	"id" text PRIMARY KEY NOT NULL,
	"yard_id" uuid DEFAULT '00000000-0000-4000-8000-000000000001' NOT NULL,
	"bytes" "bytea" NOT NULL,
	"added_at" timestamp with time zone DEFAULT now() NOT NULL,
	"added_by" text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE TABLE "yards" (
	"id" uuid PRIMARY KEY NOT NULL,
	"feed" uuid DEFAULT gen_random_uuid() NOT NULL
);
--> statement-breakpoint
DROP INDEX "boats_created_at";--> statement-breakpoint
ALTER TABLE "revisions" ALTER COLUMN "job" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "boats" ADD COLUMN "yard_id" uuid DEFAULT '00000000-0000-4000-8000-000000000001' NOT NULL;--> statement-breakpoint
ALTER TABLE "boats" ADD COLUMN "line" jsonb;--> statement-breakpoint
ALTER TABLE "boats" ADD COLUMN "removed" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "boats" ADD COLUMN "saved_by" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "boats" ADD COLUMN "device" uuid;--> statement-breakpoint
ALTER TABLE "boats" ADD COLUMN "changed" "xid8" DEFAULT pg_current_xact_id() NOT NULL;--> statement-breakpoint
ALTER TABLE "boats" ADD COLUMN "summary" jsonb;--> statement-breakpoint
ALTER TABLE "boats" ADD COLUMN "rules" text;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "packed" "bytea";--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "began_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "saved_by" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "device" uuid;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "kept" text;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "name" text;--> statement-breakpoint
CREATE INDEX "boats_changed" ON "boats" USING btree ("yard_id","changed","id");--> statement-breakpoint
CREATE INDEX "boats_created_at" ON "boats" USING btree ("yard_id","created_at","id");--> statement-breakpoint
UPDATE "revisions" SET "began_at" = "saved_at";--> statement-breakpoint
INSERT INTO "yards" ("id") VALUES ('00000000-0000-4000-8000-000000000001');
