# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Where an interaction stands on a sheet of sequence, from its order alone. A participant that is dropped between others goes there,
      # and a message that is dropped higher or lower comes to stand there in the order.
      class SequenceGeometry < Drawing::Geometry
        START = 14
        END_OF = 26
        BAR = Lifeline::BAR
        # What a bar without another message in it reaches, px.
        SHORT = 18

        # What an act leaves as it was is taken over: all of it, or what follows from the order.
        def self.following(set, sheet_id, was = nil, altered = nil)
          return new(set, sheet_id) unless was && altered

          about = altered.select { |delta| concerns?(delta, sheet_id) }
          return was if about.empty?

          was.continued(about) do
            next new(set, sheet_id) unless about.all? { |delta| words_alone?(delta) }

            new(set, sheet_id, was).tap { |now| now.take_over(was, about.map(&:id)) }
          end
        end

        def self.concerns?(delta, sheet_id)
          return delta.id == sheet_id if delta.table == :sheets
          return false unless delta.table == :elements

          [delta.before, delta.after].compact.any? { |one| KINDS.include?(one.kind) }
        end

        # @return [Boolean] whether other words are all that became different
        def self.words_alone?(delta)
          before, after = delta.before, delta.after
          return false unless delta.table == :elements && before && after && SPOKEN.include?(after.kind)

          %i[kind owner_id rank container_id ends].all? { |part|
            before[part] == after[part]
          } && before.facts.except("note") == after.facts.except("note")
        end

        KINDS = [Interactions::Kinds::INTERACTION, "participant", *Interactions::Script::KINDS].freeze
        SPOKEN = %w[message mark].freeze
        private_class_method :concerns?, :words_alone?

        # @param was [SequenceGeometry, nil] in which the order is the same
        def initialize(set, sheet_id, was = nil)
          # What is asked later follows from what is worked out now: the set itself is not kept.
          super(nil, sheet_id)
          @interaction_id = Interactions::Scope.shown(set, sheet_id)&.id
          @course = was ? was.course.renewed(set) : Interactions::Course.new(set, @interaction_id.to_s)
          @participants = @course.participants
          @lifelines = was ? was.lifelines : @participants.to_h { |one| [one.id, Lifeline.new(one)] }
          @executions = was ? was.executions : Interactions::Executions.new(@course)
          @rows = laid(set.sheets[sheet_id].view, was&.rows&.broken)
          @columns = SequenceColumns.new(@course, @rows, @lifelines.values.map(&:width))
          @items = @course.flat.map(&:element)
        end

        attr_reader :course, :executions, :rows, :columns

        # Where all stand as high and as far to the right as before, what was not altered is drawn as it was.
        #
        # @param was [SequenceGeometry] in which the order is the same
        # @param altered [Array<String>] ids
        def take_over(was, altered)
          return unless rows.stands?(was.rows) && columns.stands?(was.columns)

          @looks = was.looks
          fresh = @items.select { |one| one.relation? && altered.include?(one.id) }
          @places = was.places.merge(fresh.to_h { |one| [one.id, { route: route(one) }] })
        end

        # What was tried is kept then: the same is not worked out twice.
        #
        # @param deltas [Array<Change::Delta>] what became different
        def continued(deltas)
          key = deltas.map { |delta| [delta.table, delta.id, delta.after] }
          known, geometry = @continued
          return geometry if known == key

          yield.tap { |found| @continued = [key, found] }
        end

        # @return [Hash{String => Hash}] (see Drawing::Geometry#places)
        def places
          @places ||=
            @participants.to_h { |one| [one.id, lifeline_box(one)] }
              .merge(@columns.frames.to_h { |id, (left, right)| [id, frame_box(id, left, right)] })
              .merge(@items.select(&:relation?).to_h { |one| [one.id, { route: route(one) }] })
        end

        # @return [Hash{String => Object}] bars of lifelines, and where the branches of fragments stand
        def looks
          @looks ||=
            @participants.to_h { |one| [one.id, [bars(one.id), ended?(one.id)]] }.merge(
              @course.flat.select(&:fragment?).to_h do |item|
                [item.element.id, [guards(item.element.id), item.branches.map { |branch| @rows.rows.fetch(branch.element.id) }]]
              end
            )
        end

        # @return [Hash{String => Lifeline}]
        attr_reader :lifelines

        def lifeline(id) = @lifelines[id]
        def ended?(id) = @rows.died.key?(id)

        # @return [Array<Array(Numeric, Numeric, Integer)>] top, bottom and depth of the bars of a participant, px
        def bars(id) = (@bars ||= @executions.bars.group_by(&:participant_id)).fetch(id, []).map { |bar| [*reach(bar), bar.depth] }

        # @return [SequenceFrame]
        def frame(fragment)
          item = @course.flat.find { |one| one.element.id == fragment.id }
          branches = item ? item.branches.map { |branch| [branch.element.id, @rows.rows.fetch(branch.element.id)] } : []
          SequenceFrame.new(fragment, branches, guards(fragment.id), @rows.rows[fragment.id]&.lines || [])
        end

        # @return [Array<String>] the words of a message or a mark, broken
        def words(id) = @rows.rows[id]&.lines || []

        # A participant goes between those where it was dropped; a fragment to where its top came to.
        def dropped(key, x, y)
          participant = @participants.find { |one| one.id == key }
          return moved(key, y) unless participant

          others = @participants - [participant]
          middle = x + (@lifelines[key].width / 2)
          place = others.count { |one| middles[one.id] < middle }
          return [] if @participants.index(participant) == place

          keys = Change::OrderKey.among(others.map { |one| Change::Reorder.key(one) }, place)
          (keys.one? ? [participant] : others.insert(place, participant))
            .zip(keys)
            .map { |one, order| Change::Set.new(id: one.id, fact: "lane", value: order.to_s) }
        end

        def line_dropped(id, y) = moved(id, y)

        def behind(box) = [box.right, 0]

        # @param y [Numeric] px
        # @return [Interactions::Spot] the place in the order that is nearest
        def spot(y) = nearest(y).then { |container_id, before_id| Interactions::Spot.new(container_id:, before_id:) }

        # @return [Numeric, nil] the height between the place and what follows it, px
        def height(spot)
          row = @rows.rows[spot.before_id || spot.container_id]
          return row ? (spot.before_id ? row.bottom : row.top + SequenceRows::HEADER - 8) + (SequenceRows::GAP / 2) : @tallest + START
        end

        private

        def laid(view, broken)
          heads = @lifelines.transform_values(&:height)
          created = @course.messages.select { |one| one["sort"] == Interactions::Kinds::CREATION }.map { |one| one.target("to") }
          tallest = (heads.except(*created).values.max || heads.values.max).to_i
          @tallest = tallest
          numbers = view&.fetch("numbers", nil) ? @executions.numbers : {}
          SequenceRows.new(@course, tallest + START, numbers:, heads:, broken: (broken if numbers.empty?))
        end

        def middles = @middles ||= @participants.map(&:id).zip(@columns.middles).to_h
        def foot = @rows.bottom + END_OF

        def lifeline_box(one)
          lifeline = @lifelines[one.id]
          born = @rows.born[one.id]
          top = born ? born - (lifeline.height / 2) : @tallest - lifeline.height
          bottom = [@rows.died[one.id] || foot, top + lifeline.height + 8].max
          { x: (middles[one.id] - (lifeline.width / 2.0)).round, y: top.round, w: lifeline.width.round, h: (bottom - top).round }
        end

        def frame_box(id, left, right)
          row = @rows.rows.fetch(id)
          { x: left.round, y: row.top.round, w: (right - left).round, h: (row.bottom - row.top).round }
        end

        def reach(bar)
          from, to = @rows.rows.fetch(@items[bar.from].id), @rows.rows.fetch(@items[bar.to].id)
          top = own?(@items[bar.from]) ? from.bottom : from.y
          bottom = bar.to == bar.from ? top + SHORT : (@items[bar.to].relation? ? to.y : to.bottom)
          bottom += 6 if bar.to != bar.from && @executions.answers[@items[bar.to].id].nil?
          [top, [bottom, top + 10].max]
        end

        def own?(one) = one.relation? && one.endpoints.uniq.one? && one["open"].nil?

        # Where conditions begin: to the right of the first lifeline, and of the bars that may lie on it.
        def guards(id)
          left, = @columns.frames.fetch(id, [0, 0])
          first = middles.values.find { |middle| middle > left } || @columns.middle(0)
          first + (2 * BAR) + 8
        end

        def route(one)
          return mark(one) if one.kind == "mark"
          return own(one) if own?(one)

          row = @rows.rows.fetch(one.id)
          from, to = ends(one)
          { "points" => [[from.round(1), row.y], [to.round(1), row.y]], "labels" => { "middle" => beside(one, row, [from, to]) } }
        end

        # Lines end at the bars, and at the head of whoever they create.
        def ends(one)
          from, to = one.endpoints.map { |id| middles.fetch(id) }
          depths = @executions.depths.fetch(one.id, [nil, nil])
          return [to - SequenceColumns::STUB,
                  to - edge(depths[1], -1)] if one["open"] == Interactions::Kinds::FOUND && @columns.place(one.target("to")).positive?
          return [to + SequenceColumns::STUB, to + edge(depths[1], 1)] if one["open"] == Interactions::Kinds::FOUND
          return [from + edge(depths[0], 1), from + SequenceColumns::STUB] if one["open"] == Interactions::Kinds::LOST

          side = to > from ? 1 : -1
          created = one["sort"] == Interactions::Kinds::CREATION && @rows.born[one.target("to")] == @rows.rows[one.id].y
          [from + (side * edge(depths[0], side)),
           created ? to - (side * @lifelines[one.target("to")].width / 2) : to - (side * edge(depths[1], -side))]
        end

        # @return [Numeric] how far the edge of a bar is from the lifeline, on that side
        def edge(depth, side)
          return 0 unless depth

          side.positive? ? BAR + (depth * BAR) : BAR - (depth * BAR)
        end

        # In the gap beside whoever speaks, above the line.
        def beside(one, row, (from, to))
          gap = @columns.gap(one)
          return open(one, row, from, to) if one["open"]

          left = gap.negative? ? 0 : @columns.middles[gap]
          right = @columns.middles[gap + 1] || (left + @columns.words(one) + (2 * SequenceColumns::AROUND))
          height = SequenceRows::LINE * row.lines.length
          [((left + right) / 2.0).round(1), row.y - 2 - (height / 2.0)]
        end

        # Beside the lifeline of the one that is known.
        def open(one, row, from, to)
          near, far = one["open"] == Interactions::Kinds::FOUND ? [to, from] : [from, to]
          height = SequenceRows::LINE * row.lines.length
          [(near + ((far > near ? 1 : -1) * ((@columns.words(one) / 2) + 12))).round(1), row.y - 5 - (height / 2.0)]
        end

        def own(one)
          row = @rows.rows.fetch(one.id)
          middle = middles.fetch(one.target("from"))
          depths = @executions.depths.fetch(one.id, [nil, nil])
          start = middle + edge(depths[0], 1)
          stop = middle + edge(depths[1] || depths[0], 1)
          out = [start, stop].max + SequenceColumns::LOOP - 6
          width = @columns.words(one)
          height = SequenceRows::LINE * row.lines.length
          {
            "points" => [[start, row.y], [out, row.y], [out, row.bottom], [stop, row.bottom]],
            "labels" => { "middle" => [start + 8 + (width / 2.0), row.y - 2 - (height / 2.0)] }
          }
        end

        def mark(one)
          row = @rows.rows.fetch(one.id)
          middle = one.endpoints.map { |id| middles.fetch(id) }.min
          start = middle + BAR + 1
          width = @columns.words(one) + 20
          { "points" => [[start, row.y], [start + SequenceColumns::AROUND, row.y]], "labels" => { "middle" => [start + SequenceColumns::AROUND + (width / 2.0), row.y] } }
        end

        def refuse(_key) = raise(Mistake, "In an interaction everything stands where the order has it; say what is to be otherwise")

        def moved(key, y)
          element = @items.find { |one| one.id == key } or return refuse(key)
          spot = spot(y)
          # What comes to lie where it stood itself stays.
          return [] if held(key).include?(spot.container_id)

          run = @course.run_of(key).map { |item| item.element.id }
          stays = spot.container_id == element.container_id && [key, run[run.index(key) - 1]].include?(spot.before_id)
          return [] if stays && !(run.index(key).zero? && spot.before_id && spot.before_id != key)

          [Interactions::Move.new(ids: [key], spot:)]
        end

        # @return [Array<String>] ids of the branches of a fragment, and of those that stand in it
        def held(key)
          item = @course.flat.find { |one| one.element.id == key }
          item.branches.flat_map { |branch| [branch.element.id, *branch.items.flat_map { |inner| held(inner.element.id) }] }
        end

        # @return [Array(String, String, nil)] the interaction or branch, and the item behind which the height is
        def nearest(y) = within(@course.items, y) { @interaction_id }

        def within(items, y)
          before = nil
          items.each do |item|
            row = @rows.rows.fetch(item.element.id)
            break if y < (row.top + row.bottom) / 2 && item.branches.empty?
            break if y < row.top + 10
            return inside(item, y) if item.branches.any? && y < row.bottom

            before = item.element.id
          end
          [yield, before]
        end

        def inside(item, y)
          branch = item.branches.reverse.find { |one| y >= @rows.rows.fetch(one.element.id).top } || item.branches.first
          within(branch.items, y) { branch.element.id }
        end
      end
    end
  end
end
