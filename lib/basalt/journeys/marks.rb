# frozen_string_literal: true

module Basalt
  module Journeys
    # The numbers of the steps of journeys on a sheet: along the line that a step goes, from the end at which it begins; beneath a part that
    # does something by itself; and in the middle between two that nothing joins.
    class Marks
      # How far from the end of a line the first number is, and how much room there is between two, px.
      FIRST = 22
      GAP = 4
      TYPE = "walk"
      Spot = Value.of(:step, :place, :at)

      # @param set [Model::WorkingSet, Change::Draft]
      # @param walked [Array<Survey::Walked>] the journeys that are shown
      # @param places [Array<Integer>] by which each looks as it does (see NumberSign)
      def initialize(set, sheet_id, walked, places: walked.each_index.to_a)
        @places = places
        @set = set
        @sheet_id = sheet_id
        @walked = walked
        @nesting = Drawing::Nesting.new(set, sheet_id)
      end

      # @param now [String, nil] id of the step that is spoken of
      # @return [Array<Drawing::Item>]
      def items(now: nil)
        spots.map do |spot|
          number = spot.step.number
          shapes = spot.step.lines && spot.step.lines.empty? ? lacking(spot.step) : []
          Drawing::Item.new(id: "w#{spot.step.element.id}", layer: :labels, element_id: spot.step.element.id, type: TYPE, title: nil,
                            shapes: shapes + NumberSign.shapes(number, *spot.at, spot.place, now: spot.step.element.id == now))
        end
      end

      # @return [Set<String>] ids of all that the journeys touch there
      def touched = @walked.flat_map { |one| one.steps.flat_map { |step| Marks.ids(step) } }.to_set

      # @return [Array<String>] ids of what a step touches
      def self.ids(step) = step.parts.map(&:id) + (step.lines || [])

      private

      def spots
        steps = @walked.zip(@places).flat_map { |one, place| one.steps.map { |step| [step, place] } }
        steps.group_by { |step, _| group(step) }.flat_map { |group, some| group ? placed(group, some) : [] }
      end

      # @return [Array, nil] what a step's number stands at, the same for those that stand at it together
      def group(step)
        from, to = [step.from, step.to].map { |part| part && shown(part) }
        return from || to ? [:part, from || to] : nil unless from && to && from != to

        line = step.lines.first
        line && @set.placement(@sheet_id, line)&.route ? [:line, line] : [:between, *[from, to].sort]
      end

      # @return [String, nil] id of what stands for a part on the sheet
      def shown(part)
        id = part.id
        id = @set.element(id)&.owner_id until id.nil? || @set.shown?(@sheet_id, id)
        id && @nesting.stand_in(id)
      end

      def placed((type, *about), some)
        places =
          case type
          when :part then beneath(about.first, some.map(&:first))
          when :line then along(@set.placement(@sheet_id, about.first).route["points"], some.map(&:first))
          else halfway(about.map { |id| middle(id) }, some.map(&:first))
          end
        some.zip(places).map { |(step, place), at| Spot.new(step:, place:, at: clear(step, at)) }
      end

      # Beside the words of a line rather than on them.
      def clear(step, at)
        half = NumberSign.width(step.number) / 2.0
        words = labels.find { |box| box.overlap?(sign_box(at, half)) } or return at
        aside = [words.x - half - 2, words.cy]
        aside = [words.right + half + 2, words.cy] if beside.include?(aside)
        beside << aside
        aside
      end

      def sign_box((x, y), half) = Layout::Box.new(x: x - half, y: y - (NumberSign::HEIGHT / 2.0), w: 2 * half, h: NumberSign::HEIGHT)
      def beside = @beside ||= Set.new

      # @return [Array<Layout::Box>] of the words of all lines
      def labels
        @labels ||= begin
          notation = @set.sheets[@sheet_id].notation
          notation.lines_on(@set, @sheet_id).flat_map do |line|
            places = @set.placement(@sheet_id, line.id)&.route&.fetch("labels", nil) || {}
            notation.labels(@set, line).filter_map { |one| places[one.role]&.then { |place| Layout::Box.at(*place, one.width, one.height) } }
          end
        end
      end

      # Those that go the one way stand at its beginning, those that go back at its end; where the line is short, all across it.
      def along(points, steps)
        room = Layout::Polyline.length(points)
        ahead, back = steps.partition { |step| begins?(step, points) }
        sizes = sizes(points, ahead + back)
        return halfway([Layout::Polyline.middle(points)] * 2, steps) if sizes.sum > room - FIRST && upright?(points)

        order = spread(sizes, room, ahead.length)
        found = (ahead + back).zip(order.map { |offset| Layout::Polyline.at(points, offset) }).to_h.compare_by_identity
        steps.map { |step| found[step] }
      end

      def spread(sizes, room, ahead)
        whole = sizes.sum
        return evenly(sizes, (room - (2 * FIRST)) / whole.to_f, FIRST) if whole > room - (2 * FIRST)

        from_start = evenly(sizes.first(ahead), 1, FIRST)
        from_start + evenly(sizes.drop(ahead).reverse, 1, FIRST).map { |offset| room - offset }.reverse
      end

      def evenly(sizes, scale, first)
        sizes.each_index.map { |index| first + ((sizes.first(index).sum + (sizes[index] / 2.0)) * [scale, 0.2].max) }
      end

      # Along an upright run numbers need less room.
      def sizes(points, steps)
        steps.map { |step| (upright?(points) ? NumberSign::HEIGHT : NumberSign.width(step.number)) + GAP }
      end

      def upright?(points)
        points.each_cons(2).max_by { |a, b| (a[0] - b[0]).abs + (a[1] - b[1]).abs }.then { |one, other| one[0] == other[0] }
      end

      def begins?(step, points)
        box = @set.placement(@sheet_id, shown(step.from)).box
        near?(box, points.first) || !near?(box, points.last)
      end

      def near?(box, (x, y)) = box.grow(2).then { |grown| x.between?(grown.x, grown.right) && y.between?(grown.y, grown.bottom) }
      def middle(id) = @set.placement(@sheet_id, id).box.then { |box| [box.cx, box.cy] }

      def halfway(((x, y), (to_x, to_y)), steps)
        row = Array.new(steps.length) { |index| (index - ((steps.length - 1) / 2.0)) * (NumberSign.width(steps[index].number) + GAP) }
        row.map { |offset| [((x + to_x) / 2.0) + offset, (y + to_y) / 2.0] }
      end

      def beneath(id, steps)
        sizes = steps.map { |step| NumberSign.width(step.number) + GAP }
        @set.placement(@sheet_id, id).box.then { |box| evenly(sizes, 1, 4).map { |offset| [box.x + offset, box.bottom + 2] } }
      end

      def lacking(step)
        ends = [step.from, step.to].map { |part| shown(part) }
        ends.all? ? [Drawing::Shapes.polyline(ends.map { |id| middle(id) }, :walk_lacking)] : []
      end
    end
  end
end
