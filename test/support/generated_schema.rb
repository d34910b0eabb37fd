# frozen_string_literal: true

# A schema of PostgreSQL made at random: types, tables that refer to each other, indexes, views, triggers, partitions, heirs.
class GeneratedSchema
  NAMES = ["meter", "reading", "district", "tariff", "\"Bill\"", "\"order\"", "pump", "\"käse\"", "tank", "valve"].freeze
  TYPES = ["integer", "bigint", "text", "varchar(20)", "numeric(8,2)", "date", "timestamptz", "boolean", "jsonb", "text[]", "uuid",
           "interval day to second(2)", "\"char\"", "char(3)", "double precision"].freeze
  DEFAULTS = {
    "integer" => ["3", "1 + 2"], "text" => ["'x'", "E'a\\nb'", "upper('a')"], "boolean" => %w[true], "date" => ["CURRENT_DATE"],
    "timestamptz" => ["now()", "(now() AT TIME ZONE 'utc')"], "varchar(20)" => ["'it''s'"], "uuid" => ["gen_random_uuid()"]
  }.freeze
  ACTIONS = [
    "", " ON DELETE CASCADE", " ON DELETE SET NULL ON UPDATE CASCADE", " DEFERRABLE", " ON UPDATE RESTRICT INITIALLY DEFERRED"
  ].freeze

  # @param schema [String] in which all of it is
  def initialize(seed, schema = "s#{seed}")
    @random = Random.new(seed)
    @schema = schema
    @tables = []
    @statements = ["CREATE SCHEMA #{@schema}"]
  end

  # @return [String]
  def text
    types
    NAMES.sample(@random.rand(2..5), random: @random).each { |name| table(name) }
    @tables.each { |one| extras(one) }
    partitions if chance(3)
    heir if chance(3)
    views
    "#{@statements.join(";\n")};"
  end

  private

  def chance(most) = @random.rand(most).zero?
  def add(sql) = @statements << sql
  def any(list) = list.sample(random: @random)
  def in_schema(name) = "#{@schema}.#{name}"

  def types
    add("CREATE TYPE #{in_schema("state")} AS ENUM ('new', 'in use', 'it''s gone')") if (@state = chance(2))
    add("CREATE DOMAIN #{in_schema("share")} AS numeric CHECK (VALUE >= 0 AND VALUE <= 1)") if (@share = chance(3))
    add("CREATE SEQUENCE #{in_schema("numbers")} START #{@random.rand(1..90)} CYCLE MAXVALUE 500") if (@numbers = chance(3))
    return unless (@touch = chance(2))

    add("CREATE FUNCTION #{in_schema("touch")}() RETURNS trigger LANGUAGE plpgsql AS $$\nBEGIN\n  RETURN NEW;\nEND $$")
  end

  def table(name)
    columns = Array.new(@random.rand(1..6)) { |index| column("c#{index}") }
    key = any(["id integer GENERATED ALWAYS AS IDENTITY PRIMARY KEY", "id serial CONSTRAINT #{@schema}_k#{@tables.length} PRIMARY KEY",
               "id bigint PRIMARY KEY", "id uuid PRIMARY KEY DEFAULT gen_random_uuid()"])
    type = key.split[1].sub("serial", "integer")
    @tables << [name, type, columns.map { |one| one.split.first }]
    add("CREATE TABLE #{in_schema(name)} (#{[key, *columns, *checks].shuffle(random: @random).join(", ")})")
    refer(name)
  end

  def column(name)
    type = any([*TYPES, *(in_schema("state") if @state), *(in_schema("share") if @share)])
    default = any(DEFAULTS.fetch(type, [nil])) if chance(2)
    default = "nextval('#{in_schema("numbers")}')" if @numbers && type == "integer" && chance(2)
    [name, type, ("NOT NULL" if chance(3)), ("DEFAULT #{default}" if default)].compact.join(" ")
  end

  def checks = chance(3) ? ["CHECK (id IS NOT NULL)", "CONSTRAINT \"odd name\" CHECK (id::text <> '\\d+')"].sample(1, random: @random) : []

  def refer(name)
    return if chance(3)

    target, type, = any(@tables)
    add("ALTER TABLE #{in_schema(name)} ADD COLUMN ref #{type} #{"CONSTRAINT r#{@tables.length} " if chance(2)}" \
        "REFERENCES #{in_schema(target)}#{any(ACTIONS)}")
  end

  def extras(table)
    name, _, columns = table
    about = in_schema(name)
    one = any(columns)
    parts = any(["#{one} DESC", "(#{one} IS NULL)", "#{one}, id", "id) INCLUDE (#{one}", "id) WHERE (#{one} IS NOT NULL"])
    add("CREATE INDEX ON #{about} (#{parts})")
    add("COMMENT ON #{any(["TABLE #{about}", "COLUMN #{about}.#{one}"])} IS E'what it is:\n  \"so\" \\\\n'") if chance(2)
    add("CREATE TRIGGER t BEFORE INSERT ON #{about} FOR EACH ROW EXECUTE FUNCTION #{in_schema("touch")}()") if @touch && chance(2)
    add("ALTER TABLE #{about} SET (fillfactor = #{@random.rand(50..90)})") if chance(4)
    add("CREATE UNIQUE INDEX #{@schema}_u#{@statements.length} ON #{about} (id, (id IS NULL))") if chance(5)
    rename(about, columns, one) if chance(4)
  end

  def rename(about, columns, one)
    add("ALTER TABLE #{about} RENAME #{one} TO \"#{one} now\"")
    columns.delete(one)
  end

  def partitions
    by = in_schema("parts")
    add("CREATE TABLE #{by} (id integer NOT NULL, at date NOT NULL, #{any(["PRIMARY KEY (id, at)", "UNIQUE (at, id)"])}) " \
        "PARTITION BY RANGE (at)")
    add("CREATE TABLE #{by}_1 PARTITION OF #{by} FOR VALUES FROM ('2025-01-01') TO ('2026-01-01')")
    add("CREATE TABLE #{by}_2 (id integer NOT NULL, at date NOT NULL)")
    add("ALTER TABLE #{by} ATTACH PARTITION #{by}_2 #{any(["DEFAULT", "FOR VALUES FROM ('2026-01-01') TO (MAXVALUE)"])}")
    add("CREATE INDEX ON #{by} (id)") if chance(2)
  end

  def heir
    name, = any(@tables)
    add("CREATE TABLE #{in_schema("heir")} (more text, UNIQUE (id)) INHERITS (#{in_schema(name)})")
  end

  def views
    name, _, columns = any(@tables)
    add("CREATE VIEW #{in_schema("seen")} AS SELECT id FROM #{in_schema(name)}")
    add("CREATE MATERIALIZED VIEW #{in_schema("kept")} AS SELECT id FROM #{in_schema("seen")} WITH NO DATA") if chance(2)
    add("DROP TABLE IF EXISTS #{in_schema("nowhere")}") if columns.any?
  end
end
