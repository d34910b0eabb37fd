# frozen_string_literal: true

module Basalt
  module Formats
    # The rows of the model in a project document: every column has a type, and a value of
    # another is refused with its place.
    module DocumentRows
      ID = ->(value) { value.is_a?(String) && value.match?(/\A[\w.-]{1,64}\z/) }
      TEXT = ->(value) { value.is_a?(String) && value.length <= 2000 }
      NUMBER = ->(value) { value.is_a?(Numeric) && value.abs < 1e9 }
      COUNT = ->(value) { value.is_a?(Integer) && value.between?(0, 2**53) }
      FLAG = ->(value) { [true, false].include?(value) }
      OBJECT = ->(value) { value.is_a?(Hash) }
      POINT = ->(value) { value.is_a?(Array) && value.length == 2 && value.all?(&NUMBER) }
      ROUTE = ->(value) { OBJECT.call(value) && value["points"].is_a?(Array) && value["points"].length >= 2 && value["points"].all?(&POINT) && (value["labels"] || {}).values.all?(&POINT) }
      FACTS = ->(value) { OBJECT.call(value) && value.values.all? { |fact| TEXT.call(fact) || COUNT.call(fact) || FLAG.call(fact) } }
      ENDS = ->(value) { value.is_a?(Array) && value.all? { |one| OBJECT.call(one) && TEXT.call(one["role"]) && ID.call(one["target_id"]) && FACTS.call(one["facts"] || {}) } }
      WORDS = { ID => "an id", TEXT => "a text", NUMBER => "a number", COUNT => "a whole number", FLAG => "true or false", OBJECT => "an object",
                ROUTE => "a way of two points or more", FACTS => "facts with texts, numbers or flags", ENDS => "ends with role and target" }.freeze

      # Columns by table; those of +NEEDED+ are there in every row.
      COLUMNS = {
        sheets: { id: ID, name: TEXT, notation: TEXT, number: TEXT, band: TEXT, revision: TEXT, status: TEXT, drawn_by: TEXT, dated: TEXT, subject_id: ID, view: OBJECT, ordinal: COUNT },
        elements: { id: ID, kind: TEXT, name: TEXT, owner_id: ID, rank: COUNT, container_id: ID, facts: FACTS, ends: ENDS, assumed: FLAG, said_by: TEXT,
                    external_id: TEXT, ordinal: COUNT },
        placements: { id: ID, sheet_id: ID, element_id: ID, x: NUMBER, y: NUMBER, w: NUMBER, h: NUMBER, pinned: FLAG, shape: OBJECT, route: ROUTE, ordinal: COUNT },
        waivers: { id: ID, finding: TEXT, state: TEXT, reason: TEXT, said_by: TEXT, at: TEXT, ordinal: COUNT }
      }.freeze
      NEEDED = { sheets: %i[id name notation number band ordinal], elements: %i[id kind ordinal], placements: %i[id sheet_id element_id ordinal],
                 waivers: %i[id finding state reason at ordinal] }.freeze
      TABLES = COLUMNS.keys.freeze
      TYPES = { sheets: Model::Sheet, elements: Model::Element, placements: Model::Placement, waivers: Model::Waiver }.freeze

      module_function

      # @return [Hash] of a row, without what is nil or empty
      def dump(row)
        hash = row.to_h.reject { |_, value| value.nil? || value == {} || value == [] || value == false }
        hash[:ends] = row.ends.map { |one| one.to_h.reject { |_, value| value.nil? || value == {} } } if hash[:ends]
        hash
      end

      # @return [Array] rows of the model
      # @raise [ProjectDocument::Damaged]
      def load(table, rows, place)
        raise damaged(place, "it is not a list") unless rows.is_a?(Array)

        rows.each_with_index.map { |row, index| load_row(table, row, "#{place}/#{index}") }
      end

      def load_row(table, row, place)
        raise damaged(place, "it is not an object") unless row.is_a?(Hash)

        missing = NEEDED[table].find { |column| row[column.to_s].nil? }
        raise damaged("#{place}/#{missing}", "it is missing") if missing

        row.each { |column, value| check(table, column, value, place) }
        TYPES[table].new(**row.compact.transform_keys(&:to_sym).then { |values| joined(values) })
      end

      def check(table, column, value, place)
        type = COLUMNS[table][column.to_sym] or raise damaged("#{place}/#{column}", "nothing of that name belongs here")
        return if value.nil? || type.call(value)

        raise damaged("#{place}/#{column}", "it is not #{WORDS.fetch(type)}")
      end

      def joined(values)
        return values unless values[:ends]

        values.merge(ends: values[:ends].map { |one| Model::End.new(role: one["role"], target_id: one["target_id"], facts: (one["facts"] || {}).freeze) })
      end

      def damaged(place, reason) = ProjectDocument::Damaged.new(place, reason)
    end
  end
end
