# frozen_string_literal: true

module Web
  # The tables of a sheet: one for each kind on it, with the columns of the kind.
  class RegisterTable
    PAGE = 200
    # What came of cells that were filled in: ids of new elements by their rows, and cells that were not taken.
    Told = Basalt::Value.of(:made, :refused)

    # @param owner_id [String, nil] of whose parts alone the tables are
    def initialize(set, sheet, owner_id: nil)
      @owner_id = owner_id
      @set = set
      @notation = sheet.notation
      @sheet = sheet
      @columns = {}
      @cells = {}.compare_by_identity
    end

    # @param order [Hash] +by+ the key of a column, +down+, and a +filter+ that a cell has to hold
    # @return [Array<Basalt::Model::Element>]
    def rows(kind, order = {})
      description = Basalt::Model::Catalogue.kind(kind)
      return sorted(filtered(parts(kind), order[:filter].to_s.downcase), kind, order) if @notation.parts.include?(kind)

      order = order.merge(by: "place") if order[:by].to_s.empty? && description.ordered
      list = description.relation? ? relations(kind) : @set.things_on(@sheet.id)
      sorted(filtered(list.select { |element| element.kind == kind }, order[:filter].to_s.downcase), kind, order)
    end

    # @return [Array<Basalt::Model::Element>] what belongs to the things of the sheet
    def parts(kind) = @owner_id ? @notation.parts_within(@set, @owner_id, kind) : @notation.parts_on(@set, @sheet.id, kind)

    # @return [Basalt::Model::Element] what stands on the sheet for a row: a part is shown with what it belongs to
    def shown(element) = element.owner_id ? shown(@set.element(element.owner_id)) : element

    # @return [Array<Basalt::Register::Column>]
    def columns(kind) =
      @columns[kind] ||= Basalt::Register::Columns
        .of(@notation, kind)
        .reject { |column| @owner_id && column.key == Basalt::Register::Columns::OWNER }

    # @return [Boolean] whether the cells of a row follow from its element alone
    def alone?(kind) =
      columns(kind).all? { |column| column.writable? && !column.reference? && column.key != Basalt::Model::Catalogue.kind(kind).ordered }

    # @return [Array<Array(Basalt::Register::Column, String)>]
    def cells(element)
      worked_out = nil
      columns(element.kind).map do |column|
        next column, cell(column).text(element) if column.writable?

        worked_out ||= @notation.computed(@set, element).to_h
        [column, worked_out[column.title].to_s]
      end
    end

    private

    # What is told here and drawn as no line, or the lines.
    def relations(kind)
      return @notation.lines_on(@set, @sheet.id) unless @notation.told.include?(kind)

      @set.of_kind(kind).select { |relation| @set.drawn_between?(@sheet.id, relation) }
    end

    def cell(column) = @cells[column] ||= Basalt::Register::Cell.new(@set, @sheet, column)

    def filtered(list, wanted)
      wanted.empty? ? list : list.select { |element| cells(element).any? { |_, text| text.downcase.include?(wanted) } }
    end

    def in_order(list, kind)
      return list unless Basalt::Model::Catalogue.kind(kind).ordered

      own = @notation.in_order(@set, @sheet.id, list)
      return own if own

      list.sort_by { |element| [Basalt::Change::Reorder.key(element), element.ordinal] }
    end

    # Numbers within words count as numbers: plc-9 before plc-10.
    def sorted(list, kind, order)
      return in_order(list, kind) if order[:by] == "place"

      column = columns(kind).find { |one| one.key == order[:by] } or return list
      ranked =
        list.sort_by.with_index do |element, index|
          text = cells(element).assoc(column).last
          [text.empty? ? 1 : 0, text.downcase.scan(/\d+|\D+/).map { |part| part.match?(/\d/) ? [0, part.to_i, ""] : [1, 0, part] }, index]
        end
      order[:down] ? ranked.reverse : ranked
    end
  end
end
