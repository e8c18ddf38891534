CREATE TABLE "stock_entries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"yard_id" uuid DEFAULT '00000000-0000-4000-8000-000000000001' NOT NULL,
	"entry" jsonb NOT NULL,
	"device" uuid,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	"changed" "xid8" DEFAULT pg_current_xact_id() NOT NULL
);
--> statement-breakpoint
CREATE INDEX "stock_entries_changed" ON "stock_entries" USING btree ("yard_id","changed","id");