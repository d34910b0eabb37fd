# frozen_string_literal: true

module Web
  # Things put elsewhere on a sheet: a boundary takes along what is in it, and what is dropped
  # into a boundary, or out of one, changes where it belongs.
  class Reposition
    def initialize(draft, sheet)
      @draft = Basalt::Drawing::AsDrawn.of(draft, sheet.id)
      @sheet = sheet
      @nesting = Basalt::Drawing::Nesting.new(@draft, sheet.id)
    end

    # @param moves [Array<Array>] element id and two distances each
    def by(moves, dropped: false)
      areas = dropped ? areas(moves.map(&:first)) : []
      along(moves).each { |id, dx, dy| move(id, dx, dy) }
      moves.each { |id, *| settle(id, areas) } if dropped && @nesting.any?
    end

    # What was put into a boundary belongs there.
    #
    # @param at [Array(Numeric, Numeric)] the middle of it, px
    def belong(key, at) = @nesting.any? && !ruled?(key) && settle(key, areas([key]), at)

    private

    # Where the notation rules, a drop says something of the model.
    def move(key, dx, dy)
      return Acting.move(@draft, @sheet, key, dx, dy) unless ruled?(key)

      box = Acting.movable(@draft, @sheet, key, dx, dy).box
      @draft.apply(*@draft.geometry.dropped(key, box.x + dx, box.y + dy))
      @draft.renew
    end

    def ruled?(key) = @sheet.notation.ruled? && key.is_a?(String) && @draft.geometry.places.key?(key)

    # With each boundary everything in it, once.
    def along(moves)
      given = moves.to_h { |id, *by| [id, by] }
      moves.each { |id, *by| @nesting.inside(id).each { |inner| given[inner] ||= by } if id.is_a?(String) && @draft.element(id) }
      given.map { |id, by| [id, *by] }
    end

    # The boundaries as they stood, the innermost first, without those that are moved.
    def areas(moved)
      return [] unless @nesting.any?

      still =
        @draft.placements_on(@sheet.id).select { |placed| placed.box && @nesting.boundary?(placed.key) && !moved.include?(placed.key) }
      still.map { |placed| [placed.key, placed.box] }.sort_by { |_, box| box.w * box.h }
    end

    def settle(id, areas, middle = nil)
      # A further occurrence says nothing of where it belongs.
      return if @draft.placement(@sheet.id, id).again?

      element = @draft.element(id)
      middle ||= @draft.placement(@sheet.id, id).box.then { |box| [box.cx, box.cy] }
      into =
        areas
          .find do |area, at|
            area != id && at.overlap?(Basalt::Layout::Box.at(*middle, 1, 1)) && !@nesting.inside(id).include?(area)
          end
          &.first
      return if into == @nesting.parent(id) || (into.nil? && @nesting.parent(id).nil?)
      return unless into.nil? || element.description.within?(element, @draft.element(into))

      @draft.apply(Basalt::Change::Set.new(id:, fact: "container", value: into))
    end
  end
end
