# frozen_string_literal: true

require_relative "../support/app_helper"
require_relative "../support/generated_schema"

# What a database holds goes into the model, through words, and out again, and makes the same database.
class SchemasTest < Minitest::Test
  P = Basalt::Data::Physical
  KINDS = File.read(File.join(__dir__, "../support/schemas.sql")).split(/^--- (.*)\n/).drop(1).each_slice(2).to_h

  def admin = ActiveRecord::Base.connection.raw_connection

  # A database of its own, as whoever runs the tests may make and drop it.
  #
  # @param whole [Boolean] whether the script runs in one transaction
  # @return [Array<String>] what pg_dump finds in its catalogue when the script is through, statement by statement
  def made_by(sql, whole: false)
    name = "schema_#{SecureRandom.hex(6)}_test"
    admin.exec("CREATE DATABASE #{name} TEMPLATE template0")
    address = admin.conninfo_hash.compact.slice(:host, :port, :user, :password).merge(dbname: name)
    load_into(address, whole ? "BEGIN;\n#{sql}\nCOMMIT;" : sql)
    catalogue(address)
  ensure
    admin.exec("DROP DATABASE IF EXISTS #{name} WITH (FORCE)")
  end

  def load_into(address, sql)
    connection = PG.connect(**address)
    connection.exec("SET client_min_messages = error")
    sql.split(/^COPY .*?^\\\.$/m).each { |part| connection.exec(part) }
  ensure
    connection&.close
  end

  def catalogue(address)
    @dumped = Store::Dump.new(address).script
    pieces = P::SQLText.new(@dumped).pieces.map(&:text)
    pieces.grep_v(/\A(?:SET |SELECT pg_catalog\.set_config)/).sort
  end

  def draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: -> { SecureRandom.uuid })

  # @return [Array(String, Array)] the script that the model makes of it, and what was told
  def through_the_model(sql)
    taken = draft
    sheet = Basalt::Statements::OpenSheet.of(Basalt::Statements::Context.new(taken), "S", "tables")
    told = P::Schema.new(sql).into(taken, sheet_id: sheet)
    again = draft
    said = Basalt::Statements::Unparser.new(taken).project
    Basalt::Statements::Document.new(said).into(again)
    refute_includes Basalt::Checks::Runner.new(taken).findings.map(&:id), "sql-not-readable"
    [P::Script.new(again).text, told]
  end

  def assert_nothing_lost(sql, label)
    before = made_by(sql)
    dumped = @dumped
    { "script" => sql, "dump" => dumped }.each do |way, text|
      written, told = through_the_model(text)
      assert_empty told.reject(&:kept).map(&:told), "#{label}, #{way}"
      after = made_by(written, whole: true)
      assert_equal [[], []], [before - after, after - before], "#{label}, #{way}\n#{written}"
    end
  end

  KINDS.each do |label, sql|
    define_method(:"test_#{label.tr(" ", "_")}_come_through_whole") { assert_nothing_lost(sql, label) }
  end

  # One made of another, as a script and as it stands in the catalogue.
  30.times do |seed|
    define_method(:"test_generated_schema_#{seed}_becomes_another") do
      from, to = [seed, seed + 1000].map { |one| GeneratedSchema.new(one, "s").text }
      before, after = [from, to].map { |sql| draft.tap { |made| P::Schema.new(sql).into(made) } }
      migration = P::Migration.new(before, after)
      done = [P::Script.new(before).text, *migration.statements.map(&:text)].join("\n")
      wanted, got = [made_by(P::Script.new(after).text), made_by(done)].map { |found| columns_in_any_order(found) }
      assert_equal [[], []], [wanted - got, got - wanted], migration.steps.map(&:sql).join("\n")
      assert_empty P::Migration.new(after, after).steps.map(&:sql)
    end
  end

  # A column that is added stands behind the others.
  def columns_in_any_order(found)
    found.map { |sql| sql.start_with?("CREATE TABLE") ? sql.lines.map { |line| line.strip.delete_suffix(",") }.sort.join("\n") : sql }
  end

  # What has the same id is called otherwise, and is not made anew.
  def test_what_is_renamed_in_the_model_is_renamed_in_the_database
    before = draft
    P::Schema.new("CREATE TABLE a (id serial PRIMARY KEY, x text UNIQUE CHECK (x <> '')); CREATE VIEW v AS SELECT x FROM a;").into(before)
    after = Basalt::Change::Draft.new(before)
    after.apply(Basalt::Change::Set.new(id: before.named("a").first.id, fact: "name", value: "b"),
                Basalt::Change::Set.new(id: before.named("x").first.id, fact: "name", value: "y"))
    Basalt::Families.settle(after)
    migration = P::Migration.new(before, after)
    assert_empty migration.steps.filter_map(&:loses)
    assert_includes migration.steps.map(&:sql), "ALTER TABLE a RENAME TO b;"
    refute_match(/DROP TABLE|DROP COLUMN/, migration.steps.map(&:sql).join)
  end

  def test_what_may_lose_something_stays_a_comment_until_it_is_confirmed
    before, after = ["x int, y text", "x int"].map { |what| draft.tap { |made| P::Schema.new("CREATE TABLE a (#{what});").into(made) } }
    steps = P::Migration.new(before, after).steps
    assert_equal ["all that stands in a.y"], steps.map(&:loses)
    assert_equal "-- all that stands in a.y\n-- ALTER TABLE a DROP COLUMN y;\n", P::Migration.written(steps)
    assert_equal "ALTER TABLE a DROP COLUMN y;\n", P::Migration.written(steps, [steps.first.key])
  end

  def test_a_database_is_read_by_a_role_that_may_read_half_of_it
    name = "schema_#{SecureRandom.hex(6)}_test"
    admin.exec("CREATE DATABASE #{name} TEMPLATE template0")
    address = admin.conninfo_hash.compact.slice(:host, :port, :user, :password).merge(dbname: name)
    load_into(address, "CREATE TABLE seen (x int); CREATE TABLE hidden (y int);")
    load_into(address, "CREATE ROLE #{name} LOGIN PASSWORD 'p'; GRANT SELECT ON seen TO #{name};")
    seen = []
    database = Store::LiveDatabase.new({ **address, user: name, password: "p" })
    script = database.script { |done, total| seen << [done, total] }
    assert_equal ["public.hidden"], database.unreadable
    assert_includes script, "CREATE TABLE public.seen"
    refute_includes script, "hidden"
    refute_empty seen
    right = { **address, user: name, password: "p" }
    { { port: 1 } => /refused/, { dbname: "nowhere" } => /does not exist/ }.each do |wrong, words|
      assert_match words, assert_raises(Store::Dump::Failed) { Store::LiveDatabase.new({ **right, **wrong }).script }.message
    end
  ensure
    admin.exec("DROP DATABASE IF EXISTS #{name} WITH (FORCE)")
    admin.exec("DROP ROLE IF EXISTS #{name}")
  end

  def test_what_a_killed_proof_left_is_swept
    left = "proof_00000001_#{SecureRandom.hex(8)}"
    admin.exec("CREATE DATABASE #{left} TEMPLATE template0")
    assert_predicate Store::Proof.of([P::Script::Statement.new(text: "CREATE TABLE a (x int)")]), :passed?
    assert_empty admin.exec_params("SELECT 1 FROM pg_database WHERE datname = $1", [left]).to_a
  end

  # Ten schemas at a time in one database.
  30.times do |seed|
    define_method(:"test_generated_schemas_#{seed}_come_through_whole") do
      assert_nothing_lost(Array.new(10) { |index| GeneratedSchema.new((seed * 10) + index).text }.join("\n"), "seed #{seed}")
    end
  end
end
