# frozen_string_literal: true

module Basalt
  module Register
    # Cells filled in together: what can be taken is, and the others say why they cannot.
    class Entry
      # A row that the page opened carries the id that its element is to have.
      OWN = /\Anew-(\h{8}-\h{4}-\h{4}-\h{4}-\h{12})\z/
      # A cell that was not taken: which row, which column, the text and the reason.
      Refused = Value.of(:row, :key, :text, :reason)
      MOST = 50_000

      # @param cells [Array<Array(String, String, String)>] row, key of the column, text; the row is
      #   the id of an element, or any other word for one that is to be made; +new-+ and an id makes it under that
      #   id, and fills it in where it is there already
      # @param owner_id [String, nil] what new rows belong to, where the table is of the parts of one thing
      def initialize(sheet, kind, cells, owner_id: nil)
        @sheet = sheet
        @kind = Model::Catalogue.kind(kind)
        @owner_id = owner_id
        @columns =
          Columns
            .of(sheet.notation, kind)
            .reject { |column| owner_id && column.key == Columns::OWNER }
            .to_h { |column| [column.key, column] }
        @rows = cells.group_by(&:first).transform_values { |list| list.to_h { |_, key, text| [key, text.to_s.strip] } }
        @refused = []
        @made = {}
      end

      # +made+: ids of the new elements by the word for their row.
      attr_reader :refused, :made

      # @return [Integer] how many cells were taken
      def into(draft)
        @rows.sum do |row, texts|
          id = row[OWN, 1] || row
          draft.element(id) ? fill(draft, row, id, texts) : add(draft, row, texts)
        end
      end

      private

      def fill(draft, row, id, texts)
        texts.count { |key, text| take(draft, row, id, key, text) }
      end

      def take(draft, row, id, key, text)
        column = @columns[key] or raise Model::BadFact, "there is no such column"
        draft.apply(Cell.new(draft, @sheet, column).change(draft.element(id), text))
        true
      rescue Mistake => e
        @refused << Refused.new(row:, key:, text:, reason: e.message)
        false
      end

      # A row becomes an element as soon as it has what the kind cannot be without.
      def add(draft, row, texts)
        texts = texts.reject { |_, text| text.empty? }
        missing = @columns.values.select(&:required).reject { |column| texts.key?(column.key) }
        return wait(row, texts, missing) if missing.any?

        id = row[OWN, 1] || draft.new_id
        draft.apply(addition(draft, texts, id))
        if !@kind.relation? && @sheet.notation.draws?(draft.element(id))
          Change::Show.new(sheet_id: @sheet.id, element_id: id).apply(draft)
        end
        @made[row] = id
        texts.count { |key, _| @columns[key]&.required } + fill(draft, row, id, texts.reject { |key, _| @columns[key]&.required })
      rescue Mistake => e
        texts.each { |key, text| @refused << Refused.new(row:, key:, text:, reason: e.message) if @columns[key]&.required }
        0
      end

      def addition(draft, texts, id)
        owner =
          @owner_id || @columns[Columns::OWNER]&.then { |column| Cell.new(draft, @sheet, column).reference(texts[Columns::OWNER]).id }
        ends =
          @columns.values.select { |column| column.reference? && column.role }.sort_by { |column| @kind.ends.keys.index(column.role) }
        ends =
          ends.map { |column| [column.role, Cell.new(draft, @sheet, column).reference(texts[column.key] || texts[ends.first.key]).id] }
        Change::Add.new(
          kind: @kind.name,
          id:,
          name: texts["name"],
          facts: first_facts(texts),
          owner_id: owner,
          ends: ends.empty? ? nil : ends
        )
      end

      # The role is part of what tells two of one name apart.
      def first_facts(texts)
        role = @kind.role or return {}
        plain = @kind.nouns[@kind.name] || @kind.nouns.values.last
        { role => texts[role] || plain[role] }.compact
      end

      def wait(row, texts, missing)
        texts.each { |key, text| @refused << Refused.new(row:, key:, text:, reason: "waits for #{English.list(missing.map(&:title))}") }
        0
      end
    end
  end
end
