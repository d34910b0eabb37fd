# frozen_string_literal: true

module Basalt
  module Annotation
    # A group drawn as an outline around its members; where others stand between them, as several outlines that each hold some
    # of them, all with its name. Groups may overlap: each next one of a sheet has a wider outline.
    class GroupFigure < Drawing::Figure
      PAD = 12
      # How high the name is, and how much room there is for it beneath the members: the rest of it breaks the outline.
      HEAD = 15
      FOOT = 11
      # Each next one is wider at its sides and its bottom, and lower at its top, where the names of boundaries stand above it.
      WIDER = 9
      LOWER = 3
      WAYS = 4
      S = Drawing::Shapes

      def outline? = true
      def size(_thing) = [0, 0]

      # @return [Array<Layout::Box>] that hold its members on the sheet, and nobody else
      def outlines(set, sheet_id, group)
        members = Membership.members(set, group.id).filter_map { |id| box(set, sheet_id, id) }.uniq
        return [] if members.empty?

        parted(members, strangers(set, sheet_id, group) - members).map { |boxes| around(boxes, ways(set, sheet_id, group)) }
      end

      # @return [Array] shapes
      def outline_shapes(set, sheet_id, group)
        outlines(set, sheet_id, group).flat_map do |box|
          [S.rect(box.x, box.y, box.w, box.h, :group), S.rect(box.x, box.y, box.w, box.h, :grip)]
        end
      end

      # @return [Array] shapes of its name at each outline, above what crosses it
      def name_shapes(set, sheet_id, group)
        boxes = outlines(set, sheet_id, group)
        taken = words(set, sheet_id, group)
        boxes.each_with_index.flat_map do |box, index|
          told = boxes.length > 1 ? "#{group.name} (#{index + 1} of #{boxes.length})" : group.name
          name = Drawing::Pens.fit(told, :identifier, [box.w - 12, 120].max)
          place = corner(box, Drawing::Pens.width(name, :identifier) + 6, taken, ways(set, sheet_id, group))
          [S.rect(place.x, place.y, place.w, place.h, :halo), S.text(place.x + 3, place.y + 12, name, :identifier)]
        end
      end

      private

      # @return [Array<Layout::Box>] of what the lines of its members say
      def words(set, sheet_id, group)
        notation = set.sheets[sheet_id].notation
        lines = Membership.members(set, group.id).flat_map { |id| set.relations_of(id) }.uniq(&:id)
        lines.flat_map do |line|
          places = set.placement(sheet_id, line.id)&.route&.fetch("labels", nil) or next []
          notation
            .labels(set, line)
            .filter_map { |label| places[label.role]&.then { |place| Layout::Box.at(*place, label.width, label.height) } }
        end
      end

      # At the bottom of the outline, clear of the names of boundaries, or where other words stand there, outside of it.
      def corner(box, width, taken, way)
        right = box.right - width - 4
        corners = [
          [box.x + 8, box.bottom - FOOT - 1],
          [right - 4, box.bottom - FOOT - 1],
          [box.x, box.bottom + 2],
          [right + 4, box.bottom + 2],
          [box.x, box.y - HEAD - 2],
          [right + 4, box.y - HEAD - 2]
        ]
        corners = [*corners.first(2).rotate(way), *corners.drop(2)]
        places = corners.map { |x, y| Layout::Box.new(x:, y:, w: width, h: HEAD) }
        places.find { |place| taken.none? { |other| other.overlap?(place) } } || places.first
      end

      def box(set, sheet_id, id)
        set.shown?(sheet_id, id) ? set.placement(sheet_id, Drawing::Nesting.new(set, sheet_id).stand_in(id))&.box : nil
      end

      # What stands there besides, and holds none of the members.
      def strangers(set, sheet_id, group)
        nesting = Drawing::Nesting.new(set, sheet_id)
        members = Membership.members(set, group.id).to_set
        holding = members.flat_map { |id| nesting.ancestors(id) }.to_set
        set
          .things_on(sheet_id)
          .reject do |thing|
            thing.description.figure || members.include?(thing.id) || holding.include?(thing.id) || nesting.hidden?(thing.id)
          end
          .filter_map { |thing| set.placement(sheet_id, thing.id)&.box }
      end

      # Divided at the widest gap until no stranger is within; what cannot be divided stays as it is.
      def parted(boxes, strangers)
        hull = Layout::Box.around(boxes)
        within = strangers.select { |box| box.overlap?(hull) }
        return [boxes] if within.empty? || boxes.one?

        divided(boxes).flat_map { |part| parted(part, within) }
      end

      def divided(boxes)
        %i[x y].map { |side| widest(boxes.sort_by { |box| [box.public_send(side), box.x, box.y] }, side) }.max_by(&:first).last
      end

      # @return [Array(Numeric, Array)] how wide the widest gap is, and the boxes on either side of it
      def widest(boxes, side)
        far = side == :x ? :right : :bottom
        at = (1...boxes.length).max_by { |index| boxes[index].public_send(side) - boxes.first(index).map(&far).max }
        [boxes[at].public_send(side) - boxes.first(at).map(&far).max, [boxes.first(at), boxes.drop(at)]]
      end

      def around(boxes, way)
        pad, top = PAD + (way * WIDER), PAD - (way * LOWER)
        Layout::Box.around(boxes).then do |box|
          Layout::Box.new(x: box.x - pad, y: box.y - top, w: box.w + (2 * pad), h: box.h + top + pad + FOOT)
        end
      end

      # Of groups that share a member each has a wider outline than the one before it.
      def ways(set, sheet_id, group)
        own = Membership.members(set, group.id)
        before = set.of_kind(group.kind).take_while { |one| one.id != group.id }
        before.count { |one| set.shown?(sheet_id, one.id) && Membership.members(set, one.id).intersect?(own) } % WAYS
      end
    end
  end
end
