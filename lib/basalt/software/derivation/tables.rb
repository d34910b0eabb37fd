# frozen_string_literal: true

module Basalt
  module Software
    module Derivation
      # Tables as classes: columns as attributes, foreign keys as associations.
      class Tables
        KIND = "table"
        TYPES = {
          /\A(bool|boolean)\z/ => "Boolean", /\A(smallint|int\d?|integer|bigint|serial|bigserial)\z/ => "Integer",
          /\A(real|float\d*|double precision)\z/ => "Real", /\A(numeric|decimal|money)/ => "Decimal", /\A(timestamp|timestamptz)/ => "Time",
          /\Adate\z/ => "Date", /\A(interval)/ => "Duration"
        }.freeze

        # @param set [Model::WorkingSet, Change::Draft]
        def initialize(set)
          @set = set
        end

        # @return [Drawn]
        def drawn(table)
          references = @set.relations_of(table.id, "reference").select { |one| one.target("from") == table.id }
          Drawn.new(
            source_id: table.id,
            name: Classes::Facts.titled(table.name.tr("_", " ")),
            features: attributes(table, references).uniq(&:name),
            generals: [],
            lines: references.map { |one| line(one) }
          )
        end

        private

        def columns(table) = @set.parts_of(table.id).select { |part| part.kind == "column" }

        # What refers to another table is the line to it.
        def attributes(table, references)
          foreign = references.flat_map { |one| one.targets("column") }
          columns(table).reject { |column| foreign.include?(column.id) }.map do |column|
            Features::Attribute.new(
              name: Naming.feature(column.name.tr("_", " ")),
              type: type(column["type"].to_s),
              multiplicity: column["key"] || column["required"] ? nil : Features::Multiplicity.of("0..1"),
              modifiers: column["key"] ? ["id"] : []
            )
          end
        end

        def type(text) = TYPES.find { |pattern, _| text.downcase.match?(pattern) }&.last || "String"

        def line(reference)
          columns = reference.targets("column").map { |id| @set.element(id) }
          other = @set.element(reference.target("to"))
          role = columns.one? ? columns.first.name.delete_suffix("_id").tr("_", " ") : English.singular(other.name.tr("_", " "))
          needed = columns.any? && columns.all? { |column| column["required"] || column["key"] }
          Line.new(other_id: other.id, role: Naming.feature(role), times: needed ? "1" : "0..1", back_times: "0..*")
        end
      end
    end
  end
end
