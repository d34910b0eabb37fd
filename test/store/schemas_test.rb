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

  # Ten schemas at a time in one database.
  30.times do |seed|
    define_method(:"test_generated_schemas_#{seed}_come_through_whole") do
      assert_nothing_lost(Array.new(10) { |index| GeneratedSchema.new((seed * 10) + index).text }.join("\n"), "seed #{seed}")
    end
  end
end
