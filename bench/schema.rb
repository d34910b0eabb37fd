# frozen_string_literal: true

# Large schemas and conceptual sheets: read, laid out, checked, written, proved, switched.
class SchemaBench
  TABLES = 200
  FOREIGN = 400
  ENTITIES = 60
  # Tables of a dump.
  LARGE = 1000

  def initialize(&report)
    @report = report
  end

  def run
    before = memory
    script = nil
    all = timed { script = journey }
    @report.call("schema: all of it", TABLES, all)
    puts format("%-34s %8s %8d MB more", "schema: memory", TABLES, (memory - before) / 1024)
    @report.call(
      "schema: proved on the server",
      TABLES,
      timed { abort "the script did not load" unless Store::Proof.of(script.statements).passed? }
    )
    large
    switched
  end

  private

  # As pg_dump writes it: types, sequences, triggers, indexes and references apart from their tables.
  def large
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
    sheet = Basalt::Statements::OpenSheet.of(Basalt::Statements::Context.new(draft), "Dump", "tables")
    @report.call("schema: a dump taken in", LARGE, timed { Basalt::Data::Physical::Schema.new(dump).into(draft, sheet_id: sheet) })
    @report.call("schema: a dump checked", LARGE, timed { Basalt::Checks::Runner.new(draft).findings })
    @report.call("schema: a dump laid out, drawn", LARGE, timed { draw(draft, sheet) })
    @report.call("schema: a dump told", LARGE, timed { Basalt::Statements::Unparser.new(draft).project })
    @report.call("schema: a dump compared", LARGE, timed { Basalt::Data::Physical::Migration.new(draft, draft).steps })
  end

  def draw(draft, sheet)
    Basalt::Drawing::Arranger.new(draft, sheet).tidy(by_hand: true)
    Basalt::Drawing::Scene.new(draft, sheet).items
  end

  def dump
    random = Random.new(3)
    columns = (0...12).map { |c| "c#{c} integer" }.join(", ")
    tables = (0...LARGE).map { |n| "CREATE TABLE public.t#{n} (id integer NOT NULL, #{columns}, p integer);" }
    behind = (0...LARGE).flat_map { |n| sequence(n) + indexed(n) }
    touch = "CREATE FUNCTION public.touch() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN RETURN NEW; END $$;"
    [touch, *tables, *behind, *(0...LARGE).map { |n| referring(n, random.rand(LARGE)) }].join("\n")
  end

  def indexed(number)
    ["CREATE INDEX t#{number}_x ON public.t#{number} USING btree (c2 DESC);",
     "CREATE TRIGGER tr BEFORE UPDATE ON public.t#{number} FOR EACH ROW EXECUTE FUNCTION public.touch();"]
  end

  def referring(number, other) =
    "ALTER TABLE ONLY public.t#{number} ADD CONSTRAINT t#{number}_f FOREIGN KEY (p) REFERENCES public.t#{other}(id);"

  def sequence(number)
    name = "public.t#{number}_id_seq"
    ["CREATE SEQUENCE #{name} AS integer START WITH 1 INCREMENT BY 1 NO MINVALUE NO MAXVALUE CACHE 1;",
     "ALTER SEQUENCE #{name} OWNED BY public.t#{number}.id;",
     "ALTER TABLE ONLY public.t#{number} ALTER COLUMN id SET DEFAULT nextval('#{name}'::regclass);",
     "ALTER TABLE ONLY public.t#{number} ADD CONSTRAINT t#{number}_pkey PRIMARY KEY (id);"]
  end

  def timed
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
  end

  # Kilobytes that the process holds.
  def memory = File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i

  def journey
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
    sheet = Basalt::Statements::OpenSheet.of(Basalt::Statements::Context.new(draft), "Schema", "tables")
    @report.call("schema: read", TABLES, timed { Basalt::Data::Physical::Schema.new(sql).into(draft, sheet_id: sheet) })
    @report.call("schema: laid out", TABLES, timed { Basalt::Drawing::Arranger.new(draft, sheet).tidy })
    @report.call("schema: checked", TABLES, timed { Basalt::Checks::Runner.new(draft).findings })
    script = Basalt::Data::Physical::Script.new(draft)
    @report.call("schema: written", TABLES, timed { script.text })
    script
  end

  # Each foreign key has a column of its own.
  def sql
    random = Random.new(4)
    foreign = (0...FOREIGN).map { |n| [n, random.rand(TABLES), random.rand(TABLES)] }
    columns = foreign.group_by { |_, from, _| from }
    made =
      (0...TABLES).map do |n|
        own = (0...6).map { |c| "c#{c} integer" } + columns.fetch(n, []).map { |r, _, _| "r#{r} bigint" }
        "CREATE TABLE t#{n} (t#{n}_id bigint PRIMARY KEY, code varchar(20) NOT NULL UNIQUE, name text, #{own.join(", ")});"
      end
    (made + foreign.map { |n, from, to| "ALTER TABLE t#{from} ADD FOREIGN KEY (r#{n}) REFERENCES t#{to} (t#{to}_id);" }).join("\n")
  end

  def switched
    text =
      "sheet S: entities\n#{(1..ENTITIES).map { |n| "entity E#{n}\nE#{n} has code key, name required, size, place (x, y)" }.join("\n")}\n" +
      (2..ENTITIES)
        .map { |n| "a E#{n} uses exactly one E#{(n / 2) + 1}; a E#{(n / 2) + 1} \"is used by\" zero or more E#{n}" }
        .join("\n")
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
    Basalt::Statements::Document.new(text).into(draft)
    sheet = draft.sheet_list.first.id
    Basalt::Drawing::Arranger.new(draft, sheet).tidy
    @report.call("notation switched, first time", ENTITIES, timed { switch(draft, sheet, "diamonds") { |arranger| arranger.tidy } })
    samples =
      %w[plain diamonds].cycle.first(20).map { |variant| timed { switch(draft, sheet, variant == "plain" ? nil : variant, &:complete) } }
    @report.call("notation switched", ENTITIES, *samples)
  end

  def switch(draft, sheet, variant)
    draft.apply(Basalt::Change::SetVariant.new(sheet_id: sheet, variant:))
    yield Basalt::Drawing::Arranger.new(draft, sheet)
    Basalt::Drawing::Scene.new(draft, sheet).items
  end
end
