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

        way = way(set, sheet_id, group)
        parted(members, strangers(set, sheet_id, group, Layout::Box.around(members)) - members).map { |boxes| around(boxes, way) }
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
        way = way(set, sheet_id, group)
        boxes.each_with_index.flat_map do |box, index|
          told = boxes.length > 1 ? "#{group.name} (#{index + 1} of #{boxes.length})" : group.name
          name = Drawing::Pens.fit(told, :identifier, [box.w - 12, 120].max)
          place = corner(box, Drawing::Pens.width(name, :identifier) + 6, taken, way)
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

      # What stands among the members, and holds none of them.
      def strangers(set, sheet_id, group, hull)
        among = set.placements_on(sheet_id).select { |placement| placement.box&.overlap?(hull) }.to_h { |one| [one.key, one.box] }
        nesting = Drawing::Nesting.new(set, sheet_id)
        members = Membership.members(set, group.id)
        holding = members.flat_map { |id| nesting.ancestors(id) }
        among.except(*members, *holding).reject { |id, _| set.element(id).description.figure || nesting.hidden?(id) }.values
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
        reached = boxes.map(&far).each_with_object([]) { |edge, all| all << [all.last, edge].compact.max }
        at = (1...boxes.length).max_by { |index| boxes[index].public_send(side) - reached[index - 1] }
        [boxes[at].public_send(side) - reached[at - 1], [boxes.first(at), boxes.drop(at)]]
      end

      def around(boxes, way)
        pad, top = PAD + (way * WIDER), PAD - (way * LOWER)
        Layout::Box.around(boxes).then do |box|
          Layout::Box.new(x: box.x - pad, y: box.y - top, w: box.w + (2 * pad), h: box.h + top + pad + FOOT)
        end
      end

      # Of groups that share a member each has a wider outline than the one before it.
      def way(set, sheet_id, group)
        sharing = Membership.members(set, group.id).flat_map { |id| Membership.groups(set, id) }.uniq(&:id)
        sharing.count { |one| one.kind == group.kind && one.ordinal < group.ordinal && set.shown?(sheet_id, one.id) } % WAYS
      end
    end
  end
end
