# frozen_string_literal: true

module Web
  # The tables of a sheet: one for each kind on it, with the columns of the kind.
  class Register
    PAGE = 200

    def initialize(set, sheet)
      @set = set
      @writing = sheet.writing
      @sheet = sheet
    end

    # @return [Array<Basalt::Model::Element>]
    def rows(kind)
      description = Basalt::Model::Catalogue.kind(kind)
      list = description.relation? ? @writing.lines_on(@set, @sheet.id) : @set.things_on(@sheet.id)
      list.select { |element| element.kind == kind }
    end

    # @return [Array<String>] headings
    def headings(kind)
      description = Basalt::Model::Catalogue.kind(kind)
      ends = description.relation? ? description.ends.keys : []
      ends + (description.named? ? ["name"] : []) + description.fields.values.map(&:title) + (description.containers.any? ? ["in"] : []) + @writing.computed_headings(kind)
    end

    # @return [Array<Array(String, Boolean)>] text, and whether it is an identifier
    def cells(element)
      description = element.description
      head = description.ends.any? ? ends(element) : []
      head += [[element.name, false]] if description.named?
      fields = description.fields.values.map { |field| [shown(element[field.name]), %i[address prefix integer].include?(field.type)] }
      place = description.containers.any? ? [[element.container_id ? @set.element(element.container_id)&.name.to_s : "", false]] : []
      head + fields + place + @writing.computed(@set, element).map { |_, value| [value.to_s, true] }
    end

    private

    # What stands at each end, with the facts of the end: a port, a cardinality.
    def ends(element)
      element.ends.first(2).map { |e| [[@set.element(e.target_id)&.name, *e.facts.values].join(" "), false] }
    end

    def shown(value) = value == true ? "yes" : value.to_s
  end
end
