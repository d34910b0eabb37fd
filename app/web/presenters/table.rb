# frozen_string_literal: true

module Web
  module Presenters
    # One table of the register as the page shows it: its heads, and its rows a page at a time.
    class Table
      Head = Basalt::Value.of(:column, :sorted, :arrow)
      Row = Basalt::Value.of(:id, :element_id, :shown_id, :cells)
      PAGE = RegisterTable::PAGE

      # @param order [Hash] see RegisterTable#rows
      # @param owner [Basalt::Model::Element, nil] of whose parts alone the table is
      # @param from [Integer] how many rows come before
      def initialize(project, sheet, kind, order: {}, owner: nil, from: 0)
        @sheet = sheet
        @kind = kind
        @order = order
        @owner = owner
        @from = from
        @register = RegisterTable.new(project.set, sheet, owner_id: owner&.id)
      end

      attr_reader :kind, :owner

      def path = @owner ? "parts-of/#{@owner.id}/#{in_address}" : "register/#{in_address}"
      def caption = "#{heading} #{@owner ? "of #{@owner.name}" : "on #{@sheet.name}"}"
      def sorted_by = @order[:by]
      def down = @order[:down] ? "yes" : ""
      def ordered? = Basalt::Model::Catalogue.kind(@kind).then { |kind| kind.ordered && kind.local.nil? }

      # @return [Array<Head>]
      def heads = columns.map { |column| Head.new(column:, sorted: sorted(column), arrow: arrow(column)) }

      # @return [Array<Basalt::Register::Column>]
      def columns = @register.columns(@kind)

      # @return [Array<Row>]
      def rows = elements.map { |element| row(element) }

      # @return [Array<Basalt::Model::Element>] of whose the rows are
      def elements = list.drop(@from).first(PAGE)

      # @return [Array<String>, nil] by what, with the element itself, its row is known; nil where it depends on something else too
      def sort = @owner && @register.alone?(@kind) ? [@sheet.notation_name, @kind, @owner.id] : nil

      # @return [Row] of any element of the kind
      def row(element)
        cells = @register.cells(element).map { |column, text| [column.key, face(column), text] }
        Row.new(id: "#{@owner ? "p" : "r"}#{element.id}", element_id: element.id, shown_id: @register.shown(element).id, cells:)
      end

      # @return [String, nil] where the rows after these are, on the sheet
      def more
        return if list.length <= @from + PAGE

        "#{path}?#{URI.encode_www_form(from: @from + PAGE, by: sorted_by, down:, filter: @order[:filter])}"
      end

      private

      def list = @list ||= @register.rows(@kind, @order)
      def heading = Basalt::Model::Catalogue.kind(@kind).plural.capitalize
      def in_address = @kind.gsub(" ", "%20")
      def face(column) = [("mono" if column.identifier?), ("computed" unless column.writable?)].compact.join(" ")

      def sorted(column)
        return "none" unless @order[:by] == column.key

        @order[:down] ? "descending" : "ascending"
      end

      def arrow(column) = { "descending" => "↓", "ascending" => "↑" }[sorted(column)]
    end
  end
end
