# frozen_string_literal: true

module Basalt
  module Formats
    # Project documents of earlier versions, brought to the version of today. What does not have the shape of a
    # document is left as it is, for the schema to refuse.
    module OlderDocuments
      module_function

      # @param json [Hash] as parsed, with its version
      # @return [Hash]
      def upgrade(json)
        from = json["basalt"]
        return json if from == ProjectDocument::VERSION

        tables =
          Model::RowTypes.tables.to_h do |table|
            [table.to_s, each(json[table.to_s]) { |row| Model::RowVersions.upgrade(table, row, from) }]
          end
        json.merge(
          tables.compact,
          { "journal" => each(json["journal"]) { |entry| entry(entry, from) } }.compact,
          "basalt" => ProjectDocument::VERSION
        )
      end

      # @param entry [Hash] of the journal
      # @return [Hash] the same with rows of today
      def entry(entry, from)
        return entry unless entry.is_a?(Hash) && entry["deltas"].is_a?(Array)

        entry.merge("deltas" => each(entry["deltas"]) { |delta| delta(delta, from) })
      end

      def delta(delta, from)
        table = Model::RowTypes.tables.find { |name| name.to_s == delta["table"] } if delta.is_a?(Hash)
        return delta unless table

        delta.merge(delta.slice("before", "after").transform_values { |row| Model::RowVersions.upgrade(table, row, from) })
      end

      def each(list, &)
        list.is_a?(Array) ? list.map(&) : list
      end
    end
  end
end
