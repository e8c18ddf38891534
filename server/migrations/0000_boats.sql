CREATE TABLE "boats" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"job" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE INDEX "boats_created_at" ON "boats" USING btree ("created_at");