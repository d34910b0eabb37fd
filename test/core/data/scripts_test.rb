# frozen_string_literal: true

require_relative "../../support/core_helper"

# Scripts as psql and pg_dump have them: cut into statements, read one by one, and nothing left out silently.
class ScriptsOfSqlTest < Minitest::Test
  include CoreHelper

  P = Basalt::Data::Physical

  HOSTILE = ["SELECT 'a;''b'", "SELECT E'a\\';b'", "SELECT \"c;\"\"d\"", "DO $$ BEGIN; END $$", "DO $x$ a; $$ ; $x$", "SELECT (1; 2)",
             "SELECT 1 /* a; /* b; */ c; */ + 1", "SELECT 1 -- d;\n + 1", "SELECT $1; ".strip.delete_suffix(";"),
             "CREATE FUNCTION f() RETURNS int BEGIN ATOMIC SELECT CASE WHEN true THEN 1 END; SELECT 2; END", "SELECT 'ü; €'", "begin",
             "SELECT a.end, b.case"].freeze
  BETWEEN = ["\n", " ", "\n-- a comment; with 'quotes\n", "\n/* b; */\n", "\n\\set x 1; 'y\n", "\n\\restrict abc\n"].freeze

  def test_statements_are_found_whatever_stands_in_and_between_them
    200.times do |seed|
      random = Random.new(seed)
      wanted = Array.new(random.rand(1..6)) { HOSTILE.sample(random:) }
      script = wanted.map { |one| BETWEEN.sample(random:) + one + ";" }.join
      text = P::SQLText.new(script)
      assert_equal wanted, text.pieces.map(&:text), script
      text.pieces.each do |piece|
        assert_includes script.lines[piece.line - 1], piece.text.lines.first.strip, "line #{piece.line} of #{script}"
      end
    end
  end

  def test_data_is_counted_and_left_out
    text = P::SQLText.new("COPY a (b) FROM stdin;\n1\t;\n'\\N\n\\.\nSELECT 1;\nCOPY c FROM STDIN WITH CSV;\nx\n\\.\n")
    assert_equal ["COPY a (b) FROM stdin", "SELECT 1", "COPY c FROM STDIN WITH CSV"], text.pieces.map(&:text)
    assert_equal [3, 5], [text.rows, text.pieces[1].line]
    assert_equal 1, P::SQLText.new("COPY a FROM stdin;\n1").rows, "broken off"
    ["'", "\"", "$a$", "/*", "(", "\\", ""].each { |open| assert_operator P::SQLText.new("SELECT 1; #{open}").pieces.length, :>=, 1, open }
  end

  DUMP = <<~'SQL'
    \restrict abc
    SET statement_timeout = 0;
    SELECT pg_catalog.set_config('search_path', '', false);
    CREATE EXTENSION IF NOT EXISTS pgcrypto WITH SCHEMA public;
    CREATE TABLE public.a (id integer NOT NULL, b text DEFAULT 'x;y', old int);
    ALTER TABLE public.a OWNER TO somebody;
    CREATE SEQUENCE public.a_id_seq AS integer START WITH 1 INCREMENT BY 1 NO MINVALUE NO MAXVALUE CACHE 1;
    ALTER SEQUENCE public.a_id_seq OWNED BY public.a.id;
    CREATE SEQUENCE public.loose START WITH 5;
    ALTER TABLE ONLY public.a ALTER COLUMN id SET DEFAULT nextval('public.a_id_seq'::regclass);
    CREATE TABLE public.b (id bigserial PRIMARY KEY, a_id integer, c int UNIQUE);
    COPY public.a (id, b) FROM stdin;
    1	x
    \.
    ALTER TABLE ONLY public.a ADD CONSTRAINT a_pkey PRIMARY KEY (id);
    ALTER TABLE ONLY public.b ADD CONSTRAINT to_a FOREIGN KEY (a_id) REFERENCES public.a(id) ON UPDATE CASCADE ON DELETE SET NULL DEFERRABLE;
    CREATE INDEX b_a ON public.b USING btree (a_id DESC);
    CREATE INDEX b_lower ON public.b USING btree (lower(c::text));
    CREATE TABLE bad (x int REFERENCES nowhere);
    CREATE TABEL oops (x int);
    ALTER TABLE b RENAME COLUMN c TO cc;
    ALTER TABLE b ADD COLUMN d date, ALTER COLUMN a_id SET NOT NULL, ALTER COLUMN d TYPE timestamptz;
    ALTER TABLE a DROP COLUMN old;
    CREATE TABLE gone (x int);
    DROP TABLE gone;
    DROP TABLE IF EXISTS never;
    ALTER TABLE bad RENAME TO better;
    ALTER TABLE a ADD CONSTRAINT old CHECK (id > 1) NOT VALID, ADD CONSTRAINT looked_at CHECK (id > 2) NOT VALID;
    ALTER TABLE a VALIDATE CONSTRAINT looked_at;
    GRANT SELECT ON public.a TO somebody;
    CREATE LANGUAGE plpgsql;
    COMMENT ON EXTENSION plpgsql IS 'PL/pgSQL procedural language';
    -- end; of it
    \unrestrict abc
  SQL

  def taken(sql)
    draft = Change::Draft.new(Model::WorkingSet.new, ids: -> { SecureRandom.uuid })
    schema = P::Schema.new(sql)
    [draft, schema.into(draft), schema.left_out]
  end

  def test_a_dump_is_read_and_what_is_left_out_is_told
    draft, kept, left = taken(DUMP)
    assert_equal %w[a b better], draft.of_kind("table").map(&:name)
    told_of = ->(index, *facts) { Data::Tabling.columns(draft, draft.of_kind("table")[index].id).map { |one| [one.name, *one.facts.values_at(*facts)] } }
    assert_equal [["id", nil, true, "serial"], ["b", "'x;y'", nil, nil]], told_of.(0, "default", "key", "generated")
    assert_equal [%w[id bigint], %w[a_id integer], %w[cc integer], %w[d timestamptz]], told_of.(1, "type")
    referring = draft.of_kind("reference").map { |one| one.facts.values_at("deleting", "updating", "deferred", "called") }
    assert_equal [["set null", "cascade", "deferrable", "to_a"]], referring
    assert_equal(%w[b_c_key b_a b_lower], draft.of_kind("constraint").map { |one| one["called"] })
    assert_equal(["not valid", nil], draft.of_kind("check").map { |one| one["validity"] })
    written = draft.of_kind("constraint").filter_map { |one| one["as_written"] }
    assert_equal ["USING btree (a_id DESC)", "USING btree (lower(cc::text))"], written
    assert_equal ["1 owner", "1 right given or taken", "1 row of data", "1 statement with data", "2 settings",
                  "2 statements about the language that every database has"], left.sort
    assert_equal([true, true, false, false], kept.map { |one| one.kept || false })
    told = kept.to_h { |one| [one.line, one.told] }
    {
      4 => /CREATE EXTENSION/,
      9 => /CREATE SEQUENCE public.loose/, 19 => /better refers to nowhere/, 20 => /syntax error at or near "TABEL"/
    }.each { |line, words| assert_match words, told.delete(line).to_s, "line #{line}" }
    assert_empty told
  end

  # Of a statement that cannot be taken nothing stays, and the rest is there.
  def test_no_gap_refuses_a_file
    draft, kept, = taken("CREATE TABLE a (x int, x int);\nCREATE TABLE b (y int);\nALTER TABLE b DROP COLUMN z;\n" \
                         "COMMENT ON TABLE q IS 'r';")
    assert_equal ["b"], draft.of_kind("table").map(&:name)
    assert_equal [1, 3, 4], kept.map(&:line)
    assert_match(/has a column x already/, kept.first.told)
  end

  def test_what_is_no_script_of_ours_is_refused_in_words
    {
      "PGDMP\x01\x0e\x00" => /pg_dump's own format/,
      "CREATE TABLE `x` (a int);\nCREATE TABLE b (c int);" => /line 1: .*backquotes/,
      "CREATE TABLE b (c int);\n\nCREATE TABLE x (a int) ENGINE=InnoDB;" => /line 3: .*ENGINE =/,
      "no sql\nat all" => /line 1: syntax error/
    }.each { |sql, words| assert_match words, assert_raises(Mistake, sql) { taken(sql) }.message }
  end

  def test_letters_that_are_put_together_from_parts_are_told
    schema = Basalt::Data::Physical::Schema.new("CREATE TABLE cafe\u0301 (id int);")
    schema.into(draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new))
    assert_equal ["caf\u00e9"], draft.of_kind("table").map(&:name)
    assert_equal [Basalt::Data::Physical::Schema::COMPOSED], schema.left_out
    schema = Basalt::Data::Physical::Schema.new("CREATE TABLE caf\u00e9 (id int);")
    schema.into(draft)
    assert_empty schema.left_out
  end

  def test_what_is_there_twice_is_kept_as_sql
    draft, told, = taken(<<~SQL)
      CREATE TABLE a (x int, UNIQUE (x), UNIQUE (x));
      CREATE INDEX i ON a (x);
      CREATE INDEX j ON a (x);
      CREATE TABLE b (x int REFERENCES a (x) ON DELETE CASCADE);
      ALTER TABLE b ADD CONSTRAINT k FOREIGN KEY (x) REFERENCES a (x);
    SQL
    assert_equal([nil, "i"], draft.of_kind("constraint").map { |one| one["called"] })
    assert_equal(["cascade"], draft.of_kind("reference").map { |one| one["deleting"] })
    kept = ["ALTER TABLE a ADD UNIQUE (x)", "CREATE INDEX j ON a (x)", "ALTER TABLE b ADD CONSTRAINT k FOREIGN KEY (x) REFERENCES a (x)"]
    assert_equal(kept, draft.of_kind("addition").map { |one| one["written"] })
    assert_equal([[1, true], [3, true], [5, true]], told.map { |one| [one.line, one.kept] })
  end

  def test_data_may_be_much_and_all_else_not
    rows = "INSERT INTO t VALUES (1, 'it''s; x');\n" * 300_000
    draft, told, left = taken("CREATE TABLE t (x int, y text);\n#{rows}ALTER TABLE t ADD PRIMARY KEY (x);")
    assert_equal [1, [], ["300000 statements with data"]], [draft.of_kind("table").length, told, left]
    message = assert_raises(P::Schema::Unreadable) { taken("CREATE TABLE t (x int DEFAULT 1 /* #{"y" * 10_000_001} */);") }.message
    assert_match(/more than 10 MB beside its data/, message)
  end

  # Tables of one name in two schemas, what a search path means, and words for enumerations.
  def test_schemas_and_enumerations_in_words
    draft, = taken(<<~SQL)
      CREATE SCHEMA sales;
      CREATE TYPE sales.state AS ENUM ('new', 'in use');
      CREATE TABLE orders (id int PRIMARY KEY);
      SET search_path = sales, public;
      CREATE TABLE orders (id int PRIMARY KEY, of int REFERENCES public.orders, state state);
      CREATE TABLE "my.lines" (id int REFERENCES orders);
    SQL
    assert_equal ["orders", "sales.orders", "sales.\"my.lines\""], draft.of_kind("table").map(&:name)
    referred = draft.of_kind("reference").map { |one| [one.target("from"), one.target("to")].map { |id| draft.element(id).name } }
    assert_equal [["sales.orders", "orders"], ["sales.\"my.lines\"", "sales.orders"]], referred
    assert_equal "sales.state", draft.named("state").find { |one| one.kind == "column" }["type"]
    reading = Statements::Unparser.new(draft).project
    assert_includes reading, "sales.state is one of new, \"in use\"\n"
    again = Change::Draft.new(Model::WorkingSet.new)
    Statements::Document.new(reading.sub("is one of new, \"in use\"", "is one of new, \"it's gone\"")).into(again)
    assert_includes P::Script.new(again).text, "CREATE TYPE sales.state AS ENUM ('new', 'it''s gone');"
  end

  def test_sql_of_several_lines_is_said_in_one
    body = "CREATE FUNCTION f() RETURNS text LANGUAGE sql AS $$\n\tSELECT '\\n \\d \\\\';\n$$"
    draft, = taken("#{body};\nCREATE TABLE t (x text CHECK (x ~ '^\\d$'), y text DEFAULT E'a\\nb');\n" \
                   "COMMENT ON TABLE t IS E'one\\ntwo \\\\n';")
    again = Change::Draft.new(Model::WorkingSet.new)
    reading = Statements::Unparser.new(draft).project
    assert_includes reading, "t checks \"x ~ E'^\\\\\\\\d$'\"\n"
    Statements::Document.new(reading).into(again)
    assert_equal body, again.of_kind("database object").first["written"]
    assert_equal ["one\ntwo \\n", "'a\nb'"], [again.named("t").first["meaning"], again.named("y").first["default"]]
  end

  # SQL that speaks of a table follows when that is called otherwise, and stays as it is written beside.
  def test_sql_follows_what_is_renamed
    draft, = taken(<<~SQL)
      CREATE TYPE state AS ENUM ('a');
      CREATE TABLE meters (id int PRIMARY KEY, state state DEFAULT 'a'::state);
      CREATE VIEW seen AS SELECT meters.id,  m.state FROM public.meters m, meters;
      CREATE TRIGGER meters BEFORE INSERT ON meters FOR EACH ROW EXECUTE FUNCTION meters_f('meters');
    SQL
    trial = Change::Draft.new(draft)
    trial.apply(Change::Set.new(id: draft.named("meters").first.id, fact: "name", value: "sales.gauges"),
                Change::Set.new(id: draft.named("state").first.id, fact: "name", value: "condition"))
    Families.settle(trial)
    assert_equal "SELECT \"sales\".gauges.id,  m.state FROM sales.gauges m, sales.gauges".delete('"'), trial.of_kind("view").first["query"]
    assert_equal "CREATE TRIGGER meters BEFORE INSERT ON sales.gauges FOR EACH ROW EXECUTE FUNCTION meters_f('meters')",
                 trial.of_kind("addition").first["written"]
    column = trial.of_kind("column").last
    assert_equal ["condition", "'a'::condition"], column.facts.values_at("type", "default")
    assert_equal "CREATE TYPE condition AS ENUM ('a')", trial.of_kind("database object").first["written"]
  end

  def test_expressions_follow_columns_that_are_renamed
    draft, = taken("CREATE TABLE a (x int, y int GENERATED ALWAYS AS (x + 1) STORED, CHECK (x > 1 OR 'x' = a.x::text));\n" \
                   "CREATE INDEX ON a (x) INCLUDE (y) WHERE lower(x::text) > 'x';")
    before = Change::Draft.new(draft)
    before.apply(Change::Set.new(id: Data::Tabling.columns(draft, draft.named("a").first.id).first.id, fact: "name", value: "X y"))
    Families.settle(before)
    facts = { "check" => "expression", "column" => "generated", "constraint" => "as_written" }
    now = facts.map { |kind, fact| before.of_kind(kind).last[fact] }
    assert_equal(
      ["\"X y\" > 1 OR 'x' = a.\"X y\"::text", "\"X y\" + 1", "USING btree (\"X y\") INCLUDE (y) WHERE lower(\"X y\"::text) > 'x'"],
      now
    )
  end

  def test_an_index_in_words_is_the_rest_of_one_statement
    {
      "USING btree (x); DROP TABLE a" => /more than the rest of one/, "(x" => /syntax error/, "(z)" => /a has no column “z”/
    }.each do |text, words|
      draft = Change::Draft.new(Model::WorkingSet.new)
      document = Statements::Document.new("table a\na has x integer\na is indexed as \"#{text}\"\n")
      assert_match words, assert_raises(Statements::Misread, text) { document.into(draft) }.message
    end
  end

  BROKEN = ["'", "$$", ";", "(", "\\", "\n", "/*", "x", "ALTER TABLE a "].freeze

  def test_mutated_scripts_raise_named_errors_only
    2000.times do |seed|
      random = Random.new(seed)
      sql = DUMP.dup
      3.times { sql[random.rand(sql.length), random.rand(0..6)] = BROKEN.sample(random:) }
      taken(sql)
    rescue Mistake => e
      refute_empty e.message
    end
  end
end
