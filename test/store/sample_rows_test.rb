# frozen_string_literal: true

require_relative "../support/app_helper"
require_relative "../support/generated_schema"

# Sample rows are let in by the constraints of the tables that they are for.
class SampleRowsTest < Minitest::Test
  P = Basalt::Data::Physical
  KINDS = File.read(File.join(__dir__, "../support/schemas.sql")).split(/^--- (.*)\n/).drop(1).each_slice(2).to_h
  # What only whoever rules the server may make, and rows that a policy keeps out.
  RULED = ["event trigger", "aggregates operators casts", "unlogged storage"].freeze

  def rows(sql, count: 25)
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { SecureRandom.uuid })
    P::Schema.new(sql).into(draft)
    [draft, P::Samples::Rows.new(draft, count:)]
  end

  def assert_loads(sql, label)
    draft, rows = rows(sql)
    outcome = Store::Proof.of(P::Script.new(draft).statements + rows.statements)
    assert_predicate outcome, :passed?, "#{label}: #{outcome.message} #{rows.told}"
    rows
  end

  def test_rows_for_every_kind_of_schema
    KINDS.except(*RULED).each { |label, sql| assert_loads(sql, label) }
  end

  def test_rows_for_schemas_made_at_random
    30.times { |seed| assert_loads(GeneratedSchema.new(seed).text, "seed #{seed}") }
  end

  STRICT = <<~SQL
    CREATE TYPE state AS ENUM ('new', 'used');
    CREATE DOMAIN code AS varchar(8) NOT NULL CHECK (VALUE ~ '^[A-Z]{2}-\\d{3}(a|b)?$');
    CREATE TABLE depots (id int PRIMARY KEY, code code UNIQUE, state state NOT NULL, size numeric(4,1) CHECK (size BETWEEN 3 AND 4.5),
      opens time, closes time, CHECK (opens < closes), ring int CHECK (ring IN (3, 5, 8)));
    CREATE TABLE crews (id serial PRIMARY KEY, depot int NOT NULL UNIQUE REFERENCES depots, lead int REFERENCES crews, name text CHECK (length(name) > 40),
      a int, b int, CHECK (num_nonnulls(a, b) = 1));
    CREATE TABLE pairs (crew int REFERENCES crews, depot int REFERENCES depots, PRIMARY KEY (crew, depot));
  SQL

  def test_narrow_constraints_are_met_and_the_same_rows_come_again
    found = assert_loads(STRICT, "narrow")
    counts = found.samples.to_h { |one| [one.table.name, one.rows.length] }
    assert_equal({ "depots" => 25, "crews" => 25, "pairs" => 25 }, counts)
    assert_equal found.sql, rows(STRICT).last.sql
    assert_equal %w[crews.csv depots.csv pairs.csv], found.csv.keys.sort
    assert_equal 26, ::CSV.parse(found.csv["depots.csv"]).length
  end

  def test_what_cannot_be_met_is_told
    _, short = rows("CREATE TABLE a (x boolean UNIQUE NOT NULL); CREATE TABLE b (y int CHECK (y > 3 AND y < 2) NOT NULL);")
    assert_equal([2, 0], short.samples.map { |one| one.rows.length })
    assert_equal ["a: no more rows were found that its constraints let in", "b: no more rows were found that its constraints let in"],
                 short.told
    assert_raises(Basalt::Mistake) { rows("CREATE TABLE a (x int)", count: 0) }
  end
end
