# frozen_string_literal: true

module Web
  # What is done with the pointer, or the keys that stand for it: placing, connecting, joining
  # elsewhere, bending, sizing.
  module DrawingRoutes
    extend Routing

    SHEET = EditRoutes::SHEET

    helped_by :Drawing

    post "#{SHEET}/placed", needs: :edit, answers: :pieces, makes: "Add, Show, Arrange" do
      on_sheet(->(draft, made) { "placed #{draft.element(made.ids.first).name}" }) do |draft, sheet|
        Fresh.new(nil, [Drawing.place(draft, sheet, params)])
      end
    end

    post "#{SHEET}/connected", needs: :edit, answers: :pieces, makes: "Join" do
      with_project do |project|
        one, other = [params[:from], params[:to]].map { |end_id| element(project.set, end_id).id }
        kinds = Basalt::Change::Join.possible(project.set, one, other, sheet(project).notation.joining)
        next offer_kinds(project, one, other, kinds) if kinds.length > 1 && params[:join].nil?

        perform(project, "connected #{project.set.element(one).name} and #{project.set.element(other).name}") do |draft, on|
          line_id = Drawing.connect(draft, on, one, other, params[:join] || kinds.first, params[:id])
          Drawing.attach(draft, on, line_id, [params[:from], params[:to]])
          Drawing.put_at(draft, on, line_id, *Acting.numbers(params, "y")) if params[:y] && on.notation.ruled?
          Fresh.new(nil, [line_id])
        end
      end
    end

    post "#{SHEET}/rejoined/:element_id", needs: :edit, answers: :pieces, makes: "Rejoin" do
      on_sheet(->(draft) { "joined #{Acting.title(draft, draft.element(params[:element_id]))}" }) do |draft, sheet|
        line = element(draft, params[:element_id])
        role = line.ends.map(&:role).values_at(0, -1)[params[:end].to_i.clamp(0, 1)]
        draft.apply(Basalt::Change::Rejoin.new(id: line.id, role:, target_id: element(draft, params[:to]).id))
        if draft.shown?(sheet.id, params[:to])
          draft.apply(Basalt::Change::Attach.new(sheet_id: sheet.id, line_id: line.id, role:, key: params[:to]))
        end
      end
    end

    post "#{SHEET}/bent/:element_id", needs: :edit, answers: :pieces, makes: "Arrange" do
      on_sheet(
        ->(draft) do
          "#{params[:points].to_s.empty? ? "released" : "drew"} the way of #{Acting.title(draft, draft.element(params[:element_id]))}"
        end
      ) { |draft, sheet| Drawing.bend(draft, sheet, element(draft, params[:element_id]), params[:points].to_s) }
    end

    post "#{SHEET}/sized/:element_id", needs: :edit, answers: :pieces, makes: "Arrange" do
      on_sheet(->(draft) { "sized #{draft.element(params[:element_id]).name}" }) do |draft, sheet|
        Drawing.size(draft, sheet, occurrence(draft, sheet, element(draft, params[:element_id])), *Acting.numbers(params, "w", "h"))
      end
    end

    post "#{SHEET}/arranged", needs: :edit, answers: :pieces, makes: "Arrange" do
      on_sheet(->(draft, ids) { "put #{Acting.titles(draft, ids)} in line: #{params[:how]}" }) do |draft, sheet|
        Drawing.arrange(draft, sheet, Acting.chosen_there(draft, sheet, params), params[:how].to_s)
        Acting.chosen(draft, params)
      end
    end

    # The changes behind the gestures.
    module Drawing
      MOST_POINTS = 60
      # px between things that are placed one beside the other.
      GAP = 40
      MOST_STEPS = 60

      class << self
        # @return [String] id of the new thing, named after its kind and numbered on
        def place(draft, sheet, params)
          noun = params[:noun].to_s
          kind, facts = Basalt::Model::Catalogue.words.meant(noun, sheet.notation_name)
          raise Basalt::Mistake, "Nothing here is called “#{Basalt::Model::Names.short(noun)}”" unless kind

          x, y = Acting.numbers(params, "x", "y")
          after =
            (
              if params[:after].to_s.match?(Lookup::ID)
                Basalt::Drawing::AsDrawn.of(draft, sheet.id).placement(sheet.id, params[:after])&.box
              else
                nil
              end
            )
          name = given(draft, kind, noun, params[:name].to_s.strip)
          known = kind.default_name(noun) && draft.named(name).find { |element| element.kind == kind.name }
          id = known ? known.id : Acting.new_id(draft, params[:id])
          container_id = kind.local&.call(draft, sheet)
          draft.apply(Basalt::Change::Add.new(kind: kind.name, name:, facts:, id:, container_id:)) unless known
          show(draft, sheet, id, x, y)
          put(draft, sheet, id, [x, y], after)
          Reposition.new(draft, sheet).belong(id, [x, y]) unless after || ruled?(sheet, draft.element(id))
          detail(draft, sheet, id, params[:facts]) unless known
          id
        end

        def put(draft, sheet, id, at, after)
          thing = draft.element(id)
          return draft.apply(ruled(draft, sheet, thing, at, after)) if ruled?(sheet, thing)

          beside(draft, sheet, id, after) if after
        end

        # With its middle where it was put, or behind the one before it.
        def ruled(draft, sheet, thing, at, after)
          geometry = sheet.notation.geometry(draft, sheet.id)
          return geometry.dropped(thing.id, *geometry.behind(after)) if after

          geometry.dropped(thing.id, *at.zip(sheet.notation.size(draft, thing)).map { |middle, side| (middle - (side / 2.0)).round })
        end

        # To the right of the one that was placed before it, where nothing stands.
        def beside(draft, sheet, id, box)
          placement = draft.placement(sheet.id, id)
          w, h = sheet.notation.size(draft, draft.element(id))
          draft.apply(Basalt::Change::Arrange.new(placement_id: placement.id, to: { x: -Acting::FAR, y: -Acting::FAR }))
          ground = Basalt::Drawing::SpatialIndex.new(draft, sheet.id)
          places = (0..MOST_STEPS).map { |n| Basalt::Layout::Box.new(x: box.right + GAP + (n * GAP), y: box.cy - (h / 2), w:, h:) }
          free = places.find { |place| ground.free?(place) } || places.first
          draft.apply(Basalt::Change::Arrange.new(placement_id: placement.id, to: { x: free.x.round, y: free.y.round }))
        end

        # What was said of it in the same form as its name.
        def detail(draft, sheet, id, text)
          Acting.facts(text).each { |fact, value| draft.apply(Acting.fact(draft, sheet, id, fact, value)) } unless text.to_s.empty?
        end

        def connect(draft, sheet, one, other, kind, proposed = nil)
          unless sheet.notation.joining.include?(kind)
            raise Basalt::Mistake,
                  "Nothing of a #{sheet.notation_name} sheet joins #{draft.element(one).name} and #{draft.element(other).name}"
          end

          id = Acting.new_id(draft, proposed)
          draft.apply(Basalt::Change::Join.new(one_id: one, other_id: other, kind:, id:))
          draft.apply(sheet.notation.proposed(draft, draft.element(id)))
          id
        end

        # The ends of a line that was drawn between occurrences are at those, and not at the nearest.
        def attach(draft, sheet, line_id, keys)
          return if keys.all? { |key| draft.further(sheet.id, draft.element_at(key).id).empty? }

          draft
            .element(line_id)
            .ends
            .each do |one|
              key = keys.find { |given| draft.element_at(given).id == one.target_id } or next
              draft.apply(Basalt::Change::Attach.new(sheet_id: sheet.id, line_id:, role: one.role, key:)) if draft.shown?(sheet.id, key)
            end
        end

        # Where a height says something, the line goes where it was drawn.
        def put_at(draft, sheet, line_id, y)
          Basalt::Families.settle(draft)
          draft.apply(*sheet.notation.geometry(draft, sheet.id).line_dropped(line_id, y))
        end

        def bend(draft, sheet, line, text)
          placement = draft.placement(sheet.id, line.id) or raise Basalt::Refusals::GoneFromSheet, "The line"
          if sheet.notation.ruled?
            ys = points(text).map(&:last)
            return draft.apply(*sheet.notation.geometry(draft, sheet.id).line_dropped(line.id, ys.sum / ys.length.to_f))
          end
          return draft.apply(Basalt::Change::Arrange.new(placement_id: placement.id, to: { route: nil })) if text.empty?

          Basalt::Drawing::Arranger.new(draft, sheet.id).keep(line.id, points(text))
        end

        def size(draft, sheet, placement, w, h)
          raise Basalt::Refusals::GoneFromSheet, "It" unless placement

          thing = draft.element_at(placement.key)
          return draft.apply(*sheet.notation.geometry(draft, sheet.id).sized(thing.id, w, h)) if ruled?(sheet, thing)

          to = sheet.notation.sized(draft, thing, placement, w, h) or
            raise Basalt::Mistake, "A #{thing.noun} is as large as its words need"
          draft.apply(Basalt::Change::Arrange.new(placement_id: placement.id, to: { **to, by_hand: true }))
        end

        # @return [Boolean] whether the notation has a place for it
        def ruled?(sheet, thing) = sheet.notation.ruled? && thing.description.figure.nil?

        def arrange(draft, sheet, ids, how)
          ids.each do |id|
            draft.element_at(id).then { |thing| sheet.notation.geometry(draft, sheet.id).sized(thing.id, 0, 0) if ruled?(sheet, thing) }
          end
          placements = ids.filter_map { |id| draft.placement(sheet.id, id) }.select(&:box)
          raise Basalt::Mistake, "Select two things at least" if placements.length < 2

          Basalt::Layout::Alignment
            .call(placements.map(&:box), how)
            .zip(placements) do |box, placement|
              to =
                (
                  if how == "same size"
                    sheet.notation.sized(draft, draft.element_at(placement.key), placement, box.w, box.h)
                  else
                    { x: box.x, y: box.y, by_hand: true }
                  end
                )
              draft.apply(Basalt::Change::Arrange.new(placement_id: placement.id, to:)) if to
            end
        end

        # @return [String] id of what stands there by then, its middle at that point
        def show(draft, sheet, id, x, y)
          raise Basalt::Mistake, "#{draft.element(id).name} stands on this sheet already" if draft.shown?(sheet.id, id)
          unless sheet.notation.draws?(draft.element(id))
            raise Basalt::Mistake, "A #{sheet.notation_name} sheet draws no #{draft.element(id).noun}"
          end

          draft.apply(Basalt::Change::Show.new(sheet_id: sheet.id, element_id: id))
          w, h = sheet.notation.size(draft, draft.element(id))
          placement = draft.placement(sheet.id, id)
          draft.apply(
            Basalt::Change::Arrange.new(placement_id: placement.id, to: { x: (x - (w / 2)).round, y: (y - (h / 2)).round, by_hand: true })
          )
          id
        end

        private

        def given(draft, kind, noun, name)
          return name unless name.empty?
          return kind.default_name(noun) if kind.default_name(noun)

          taken = ->(proposal) { draft.named(proposal).any? }
          first = "#{noun}-1"
          taken.call(first) ? Basalt::Model::Names.following(first, &taken) : first
        end

        # @return [Array<Array(Integer, Integer)>] at least two points, every run level or upright
        def points(text)
          points = JSON.parse(text, max_nesting: 3)
          fine =
            points.is_a?(Array) && points.length.between?(2, MOST_POINTS) &&
            points.all? do |point|
              point.is_a?(Array) && point.length == 2 && point.all? { |n| n.is_a?(Numeric) && n.abs < Acting::FAR }
            end
          raise Basalt::Mistake, "A way is a list of points" unless fine
          unless points.each_cons(2).all? { |one, other| one[0].round == other[0].round || one[1].round == other[1].round }
            raise Basalt::Mistake, "Every run of a way is level or upright"
          end

          Basalt::Layout::Polyline.simplify(points.map { |point| point.map(&:round) })
        rescue JSON::ParserError
          raise Refusals::Malformed, "The way"
        end
      end

      # Several kinds of line could join the two: which?
      def offer_kinds(project, one, other, kinds)
        ends = [one, other].map { |id| project.set.element(id) }
        part("#answer", view(:offer_kinds, sheet: sheet(project), one: ends.first, other: ends.last, from: one, to: other, kinds:))
      end
    end
  end
end
