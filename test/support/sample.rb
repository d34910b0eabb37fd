# frozen_string_literal: true

# The sample, laid out once in a process; every test after that gets a copy of its rows, which takes a hundredth of the time.
module Sample
  TABLES = %w[projects elements ends sheets links placements journal].freeze
  KEPT = "kept"

  class << self
    # @yieldreturn [Store::Project] made the slow way
    # @return [Store::Project]
    def take
      return restored if @id

      yield.tap { |project| keep(project) if Store::Project.count == 1 }
    end

    private

    def connection = ActiveRecord::Base.connection

    def keep(project)
      connection.execute("DROP SCHEMA IF EXISTS #{KEPT} CASCADE; CREATE SCHEMA #{KEPT}")
      TABLES.each { |table| connection.execute("CREATE TABLE #{KEPT}.#{table} AS SELECT #{columns(table)} FROM #{table}") }
      @id = project.id
    end

    def restored
      TABLES.each { |table| connection.execute("INSERT INTO #{table} (#{columns(table)}) SELECT #{columns(table)} FROM #{KEPT}.#{table}") }
      connection.execute("UPDATE journal SET at = now()")
      Store::Project.find(@id)
    end

    def columns(table)
      connection.columns(table).reject(&:virtual?).map { |column| connection.quote_column_name(column.name) }.join(", ")
    end
  end
end
