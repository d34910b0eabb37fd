# frozen_string_literal: true

require_relative "../support/app_helper"
require_relative "../support/generated_schema"

# Other engines take what is written for them, and what they cannot hold is told.
class EnginesTest < Minitest::Test
  P = Basalt::Data::Physical
  KINDS = File.read(File.join(__dir__, "../support/schemas.sql")).split(/^--- (.*)\n/).drop(1).each_slice(2).to_h

  def script(sql, engine)
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { SecureRandom.uuid })
    P::Schema.new(sql).into(draft)
    P::EngineScript.new(draft, nil, P::Engine.named(engine))
  end

  def assert_taken(engine, sql, label)
    written = script(sql, engine)
    outcome = Store::EngineProof.of(engine, written.statements)
    assert_predicate outcome, :passed?, "#{label}: #{outcome.message}\n#{outcome.line}\n#{written.text}"
    written
  end

  def test_sqlite_takes_every_kind_of_schema
    KINDS.each { |label, sql| assert_taken("sqlite", sql, label) }
    60.times { |seed| assert_taken("sqlite", GeneratedSchema.new(seed).text, "seed #{seed}") }
  end

  # Many schemas at a time, as the server takes seconds to begin.
  def test_mariadb_takes_schemas
    skip Store::EngineProof.missing("mariadb") if Store::EngineProof.missing("mariadb")
    assert_taken("mariadb", Array.new(40) { |seed| GeneratedSchema.new(seed).text }.join("\n"), "generated")
    KINDS.values_at("namespaces", "views", "odd defaults", "names in scripts", "types").each { |sql| assert_taken("mariadb", sql, sql) }
  end

  METERS = <<~SQL
    CREATE TYPE state AS ENUM ('new', 'it''s gone');
    CREATE DOMAIN share AS numeric(5,4) CHECK (VALUE >= 0 AND VALUE <= 1);
    CREATE TABLE sales.meters (id serial PRIMARY KEY, code text NOT NULL UNIQUE, state state DEFAULT 'new'::state, part share, tags text[],
      seen timestamptz DEFAULT now(), name text GENERATED ALWAYS AS (upper(code) || '-') STORED, CHECK (code ~ '^M'), CHECK (length(code) > 2));
    CREATE INDEX by_state ON sales.meters (state, seen DESC) WHERE part IS NOT NULL;
    CREATE FUNCTION f() RETURNS int LANGUAGE sql AS 'SELECT 1';
  SQL

  def test_each_engine_has_its_own_words_and_says_what_is_lost
    sqlite, mariadb, iso = %w[sqlite mariadb iso].map { |engine| script(METERS, engine) }
    assert_includes sqlite.text, "id INTEGER PRIMARY KEY AUTOINCREMENT"
    assert_includes sqlite.text, "state TEXT DEFAULT 'new'"
    assert_includes sqlite.text, "CHECK (state IN ('new', 'it''s gone'))"
    assert_includes sqlite.text, "WHERE part IS NOT NULL"
    assert_includes mariadb.text, "CREATE TABLE sales_meters"
    assert_includes mariadb.text, "ENUM('new', 'it''s gone')"
    assert_includes mariadb.text, "name LONGTEXT GENERATED ALWAYS AS (concat(upper(code), '-')) STORED"
    assert_includes iso.text, "CREATE TABLE sales.meters"
    assert_includes iso.text, "seen TIMESTAMP WITH TIME ZONE DEFAULT CURRENT_TIMESTAMP"
    lost = [sqlite, mariadb, iso].map { |one| one.losses.map(&:words) }
    lost.each do |words|
      assert_includes words, "tags: a list becomes one text"
      assert_includes words, "a check: code ~ '^M'; “~” is not known there"
      assert_includes words, "the function f()"
    end
    assert_includes lost[1], "seen: the time zone is lost"
    assert_includes lost[1].join("\n"), "an index USING btree (state, seen DESC) WHERE part IS NOT NULL; “WHERE” is not known there"
  end

  def test_what_an_engine_does_not_take_is_told_with_its_statement
    statements = ["CREATE TABLE a (x int);", "CREATE TABLE a (\n  x int);"].map { |text| P::Script::Statement.new(text:, element_id: "e") }
    %w[sqlite mariadb].each do |engine|
      next if Store::EngineProof.missing(engine)

      outcome = Store::EngineProof.of(engine, statements)
      assert_equal [1, "e"], [outcome.ran, outcome.element_id], engine
      assert_match(/already exists/, outcome.message)
    end
    assert_match(/no server of it/, assert_raises(Basalt::Mistake) { Store::EngineProof.of("iso", statements) }.message)
    assert_raises(Basalt::Mistake) { P::Engine.named("other") }
  end

  def test_types_are_agreed_on
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { SecureRandom.uuid })
    P::Schema.new("CREATE TABLE a (x numeric(8,2), y text)").into(draft)
    engine = P::Engine.named("sqlite")
    P::AgreedTypes.agree(draft, engine, P::AgreedTypes.read("numeric = TEXT\n text=VARCHAR(9)\n"))
    again = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
    Basalt::Statements::Document.new(Basalt::Statements::Unparser.new(draft).project).into(again)
    assert_includes P::EngineScript.new(again, nil, engine, P::AgreedTypes.of(again, engine)).text, "x TEXT,\n  y VARCHAR(9)"
    assert_raises(Basalt::Mistake) { P::AgreedTypes.read("numeric") }
  end
end
