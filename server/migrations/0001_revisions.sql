CREATE TABLE "revisions" (
	"boat_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"job" jsonb NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "revisions_boat_id_version_pk" PRIMARY KEY("boat_id","version")
);

--> statement-breakpoint
INSERT INTO "revisions" ("boat_id", "version", "job", "saved_at") SELECT "id", "version", "job", "saved_at" FROM "boats";
