CREATE TABLE "records" (
	"id" uuid PRIMARY KEY NOT NULL,
	"yard_id" uuid DEFAULT '00000000-0000-4000-8000-000000000001' NOT NULL,
	"boat_id" uuid NOT NULL,
	"circuit_id" text,
	"kind" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"entry" text NOT NULL,
	"entry_hash" text NOT NULL,
	"signature" text NOT NULL,
	"number" integer NOT NULL,
	"received_at" timestamp (3) with time zone NOT NULL,
	"chain_hash" text NOT NULL,
	"sealed_by" text NOT NULL,
	"seal" text NOT NULL,
	"changed" "xid8" DEFAULT pg_current_xact_id() NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX "records_chain" ON "records" USING btree ("boat_id","number");--> statement-breakpoint
CREATE INDEX "records_changed" ON "records" USING btree ("yard_id","changed","id");--> statement-breakpoint
CREATE FUNCTION records_stay() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'Records are only added: none is altered or removed.' USING ERRCODE = 'insufficient_privilege';
END
$$;
--> statement-breakpoint
CREATE TRIGGER records_stay BEFORE UPDATE OR DELETE OR TRUNCATE ON "records" FOR EACH STATEMENT EXECUTE FUNCTION records_stay();
