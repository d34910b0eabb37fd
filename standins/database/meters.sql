-- The meters and bills of the Tarnwater utility, as a database that is there to be read.
CREATE SCHEMA billing;
CREATE EXTENSION IF NOT EXISTS btree_gist WITH SCHEMA public;
CREATE TYPE public.meter_state AS ENUM ('planned', 'fitted', 'faulty', 'removed');
CREATE DOMAIN public.postcode AS text CHECK (VALUE ~ '^[A-Z]{2}\d+$');
CREATE TYPE billing.money_range AS RANGE (subtype = numeric);
CREATE FUNCTION public.touch() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  NEW.changed_at := now();
  RETURN NEW;
END $$;
CREATE FUNCTION public.reading_age(taken timestamptz) RETURNS interval LANGUAGE sql STABLE AS 'SELECT now() - taken';
CREATE TABLE public.districts (district_id integer NOT NULL, name text NOT NULL, postcode public.postcode);
CREATE TABLE public.meters (meter_id integer NOT NULL, district_id integer NOT NULL, serial_number text NOT NULL, state public.meter_state DEFAULT 'planned'::public.meter_state NOT NULL, changed_at timestamptz);
ALTER TABLE public.meters ALTER COLUMN meter_id ADD GENERATED ALWAYS AS IDENTITY (SEQUENCE NAME public.meters_meter_id_seq START WITH 1000 INCREMENT BY 1 NO MINVALUE NO MAXVALUE CACHE 1);
CREATE TABLE public.readings (meter_id integer NOT NULL, taken_at timestamptz NOT NULL, litres numeric(12,1) NOT NULL) PARTITION BY RANGE (taken_at);
CREATE TABLE public.readings_2025 (meter_id integer NOT NULL, taken_at timestamptz NOT NULL, litres numeric(12,1) NOT NULL);
CREATE TABLE public.readings_2026 (meter_id integer NOT NULL, taken_at timestamptz NOT NULL, litres numeric(12,1) NOT NULL);
CREATE TABLE billing.tariffs (tariff_id integer NOT NULL, name text NOT NULL, valid daterange NOT NULL, price numeric(8,4) NOT NULL, CONSTRAINT tariffs_price_check CHECK (price > 0::numeric));
CREATE TABLE billing.bills (bill_id bigint NOT NULL, meter_id integer NOT NULL, tariff_id integer, total numeric(12,2));
CREATE SEQUENCE billing.bill_numbers START WITH 7000 INCREMENT BY 1 NO MINVALUE NO MAXVALUE CACHE 1;
CREATE VIEW billing.open_bills AS
 SELECT b.bill_id,
    b.total,
    m.serial_number
   FROM billing.bills b
     JOIN public.meters m ON m.meter_id = b.meter_id
  WHERE b.total IS NULL;
CREATE MATERIALIZED VIEW public.monthly AS SELECT r.meter_id, date_trunc('month'::text, r.taken_at) AS month, max(r.litres) AS litres FROM public.readings r GROUP BY r.meter_id, (date_trunc('month'::text, r.taken_at)) WITH NO DATA;
ALTER TABLE ONLY public.readings ATTACH PARTITION public.readings_2025 FOR VALUES FROM ('2025-01-01 00:00:00+00') TO ('2026-01-01 00:00:00+00');
ALTER TABLE ONLY public.readings ATTACH PARTITION public.readings_2026 FOR VALUES FROM ('2026-01-01 00:00:00+00') TO ('2027-01-01 00:00:00+00');
ALTER TABLE ONLY billing.bills ALTER COLUMN bill_id SET DEFAULT nextval('billing.bill_numbers'::regclass);
ALTER TABLE ONLY public.districts ADD CONSTRAINT districts_pkey PRIMARY KEY (district_id);
ALTER TABLE ONLY public.meters ADD CONSTRAINT meters_pkey PRIMARY KEY (meter_id);
ALTER TABLE ONLY public.meters ADD CONSTRAINT meters_serial UNIQUE (serial_number);
ALTER TABLE ONLY public.readings ADD CONSTRAINT readings_pkey PRIMARY KEY (meter_id, taken_at);
ALTER TABLE ONLY public.readings_2025 ADD CONSTRAINT readings_2025_pkey PRIMARY KEY (meter_id, taken_at);
ALTER TABLE ONLY public.readings_2026 ADD CONSTRAINT readings_2026_pkey PRIMARY KEY (meter_id, taken_at);
ALTER INDEX public.readings_pkey ATTACH PARTITION public.readings_2025_pkey;
ALTER INDEX public.readings_pkey ATTACH PARTITION public.readings_2026_pkey;
ALTER TABLE ONLY billing.tariffs ADD CONSTRAINT tariffs_pkey PRIMARY KEY (tariff_id);
ALTER TABLE ONLY billing.tariffs ADD CONSTRAINT one_tariff EXCLUDE USING gist (name WITH =, valid WITH &&);
ALTER TABLE ONLY billing.bills ADD CONSTRAINT bills_pkey PRIMARY KEY (bill_id);
CREATE UNIQUE INDEX monthly_meter ON public.monthly USING btree (meter_id, month);
CREATE INDEX meters_faulty ON public.meters USING btree (district_id) WHERE (state = 'faulty'::public.meter_state);
CREATE TRIGGER meters_touched BEFORE UPDATE ON public.meters FOR EACH ROW EXECUTE FUNCTION public.touch();
ALTER TABLE ONLY public.meters ADD CONSTRAINT meters_district_id_fkey FOREIGN KEY (district_id) REFERENCES public.districts(district_id) ON UPDATE CASCADE ON DELETE RESTRICT;
ALTER TABLE public.readings ADD CONSTRAINT readings_meter_id_fkey FOREIGN KEY (meter_id) REFERENCES public.meters(meter_id) ON DELETE CASCADE;
ALTER TABLE ONLY billing.bills ADD CONSTRAINT bills_meter_id_fkey FOREIGN KEY (meter_id) REFERENCES public.meters(meter_id);
ALTER TABLE ONLY billing.bills ADD CONSTRAINT bills_tariff_id_fkey FOREIGN KEY (tariff_id) REFERENCES billing.tariffs(tariff_id) ON DELETE SET NULL;
ALTER TABLE public.meters ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_district ON public.meters FOR SELECT USING (district_id = 1);
COMMENT ON TABLE public.meters IS 'What measures water at a customer.
One for each pipe.';
