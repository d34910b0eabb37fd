# frozen_string_literal: true

module Web
  # The common course of an edit, and the changes that forms stand for.
  module Acting
    NOTHING = Store::ProjectSession::Outcome.new(effect: Basalt::Change::Effect.new(deltas: []), affected: [], said: "", version: 0)
    FAR = 1_000_000
    MANY = 10_000

    # What came of an act on a sheet: +made+ is what the handler answered, +marked+ what errors were about before.
    Acted = Struct.new(:sheet, :outcome, :made, :marked)

    # @param said [String, #call] gets the draft and what the block made, answers the act in words
    # @yieldparam draft [Basalt::Change::Draft]
    # @yieldparam sheet [Basalt::Model::Sheet]
    # @yieldreturn [Object] what was made, a Fresh where the page is to select it
    def on_sheet(said, &change)
      with_project { |project| perform(project, said, &change) }
    end

    # @param fresh [Boolean] whether the whole sheet is told
    def perform(project, said, fresh: false, &change)
      acted = act_on(project, said, &change)
      answer(project, acted, fresh:, message: acted.outcome.effect.empty? ? "Nothing is different: it stands so already" : nil)
    end

    # @return [Acted]
    def act_on(project, said, **options)
      sheet = sheet(project)
      marked = marked(project)
      made = words = nil
      outcome =
        project.act(said: -> { words }, by: person, sheet_id: sheet.id, grow: :at_once, **options) do |draft|
          made = yield draft, sheet
          words = said.respond_to?(:call) ? said.call(*[draft, made].first(said.arity)) : said
        end
      Acted.new(sheet, outcome, made, marked)
    end

    # Opens a sheet for somebody, which shows these things.
    #
    # @param about [Basalt::Model::Element, nil] what it is about
    # @return [String] its id
    def open_sheet(draft, title, notation, about: nil, showing: [])
      id = draft.new_id
      draft.apply(Basalt::Change::AddSheet.new(name: Basalt::Change::SheetTitle.free(draft, title), notation:, id:))
      draft.apply(Basalt::Change::SetSubject.new(sheet_id: id, element_id: about.id)) if about
      showing.each { |thing| draft.apply(Basalt::Change::Show.new(sheet_id: id, element_id: thing.id)) }
      signed(draft, id)
      id
    end

    # Leads whoever asked to a sheet, whether a script or a form did.
    def lead_to(sheet_id)
      headers "HX-Redirect" => sheet_path(sheet_id)
      htmx? ? "" : redirect(sheet_path(sheet_id))
    end

    # Who opened a sheet, and when, as a person's own are signed.
    def signed(draft, sheet_id)
      { drawn_by: person, dated: Date.today.iso8601 }.each do |fact, value|
        draft.apply(Basalt::Change::SetSheet.new(id: sheet_id, fact:, value:))
      end
    end

    class << self
      # One statement, or a few lines of them.
      #
      # @param cursor [Object, nil] where the first line that stands in order goes
      # @yieldparam cursor [Object, nil] where the next would go
      def say(draft, sheet, text, cursor = nil)
        Basalt::Statements::Document.new(text).into(draft, sheet_id: sheet.id, cursor:) { |context| yield context.cursor if block_given? }
      rescue Basalt::Statements::Misread => e
        raise text.strip.include?("\n") ? e : e.on_line(nil)
      end

      # @return [Array<Array>] element id and two distances each
      def moves(text)
        moves = JSON.parse(text.to_s, max_nesting: 4)
        return moves if moves.is_a?(Array) && moves.all? { |move| move.is_a?(Array) && move.length == 3 }

        raise Basalt::Mistake, "A move is a thing and two distances"
      rescue JSON::ParserError
        raise Refusals::Malformed, "The move"
      end

      # A thing that a person put elsewhere, so many px from where it stood.
      def move(draft, sheet, key, dx, dy)
        placement = movable(draft, sheet, key, dx, dy)
        draft.apply(
          Basalt::Change::Arrange.new(
            placement_id: placement.id,
            to: {
              x: (placement.x + dx).round,
              y: (placement.y + dy).round,
              by_hand: true
            }
          )
        )
      end

      # @return [Basalt::Model::Placement] of what is to be moved so far
      def movable(draft, sheet, key, dx, dy)
        placement = key.is_a?(String) && draft.placement(sheet.id, key)
        raise Basalt::Refusals::GoneFromSheet, "It" unless placement
        unless [dx, dy].all? { |number| number.is_a?(Numeric) && number.abs < FAR } && placement.x
          raise Basalt::Mistake, "A move is two distances, not “#{Basalt::Model::Names.short([dx, dy].inspect)}”"
        end

        placement
      end

      def moved_names(draft)
        things =
          draft.placements.differences.filter_map do |_, before, after|
            after && before && before.box != after.box && draft.element(after.element_id)
          end
        things = draft.elements.differences.filter_map { |_, _, after| after } if things.empty?
        things.length == 1 ? things.first.name : Basalt::English.count(things.length, "thing")
      end

      # @return [Array<String>] ids of what is selected, all of them there
      # @raise [Basalt::Mistake] when nothing is
      def chosen(set, params)
        ids = params[:chosen].to_s.split.first(MANY).grep(Lookup::ID).filter_map { |id| set.element_at(id)&.id }.uniq
        raise Basalt::Mistake, "Select something first" if ids.empty?

        ids
      end

      # @return [Array<String>] keys of the selected occurrences on a sheet (see Basalt::Model::Placement#key)
      # @raise [Basalt::Mistake] when nothing is selected
      def chosen_there(set, sheet, params)
        keys = params[:chosen].to_s.split.first(MANY).grep(Lookup::ID).select { |key| set.shown?(sheet.id, key) }
        keys.any? ? keys : chosen(set, params)
      end

      # @return [String] an id for something new, the page's own where it proposes one
      # @raise [Basalt::Change::Conflict] when it is taken
      def new_id(draft, proposed)
        return draft.new_id if proposed.to_s.empty?
        raise Basalt::Mistake, "An id is 32 digits in five groups" unless proposed.to_s.match?(Lookup::ID)
        raise Basalt::Change::Conflict, "This id is taken already" if draft.element(proposed)

        proposed
      end

      # @return [String] the name of one, or how many there are
      def titles(set, ids) = ids.one? ? title(set, set.element(ids.first)) : Basalt::English.count(ids.length, "thing")

      # @return [Hash{String => String}] facts and values, as a form gave them
      def facts(text)
        facts = JSON.parse(text.to_s, max_nesting: 2)
        return facts if facts.is_a?(Hash) && facts.length <= 50 && facts.values.all?(String)

        raise Basalt::Mistake, "Facts are names with values"
      rescue JSON::ParserError
        raise Refusals::Malformed, "The facts"
      end

      # @return [Array<Float>] numbers from a form
      def numbers(params, *names)
        names.map do |name|
          number = Float(params[name].to_s, exception: false)
          unless number && number.abs < FAR
            raise Basalt::Mistake, "#{name} is a number, not “#{Basalt::Model::Names.short(params[name])}”"
          end

          number.round
        end
      end

      # @return [Array] changes
      def fact(draft, sheet, element_id, fact, value)
        text = value.to_s.strip
        element = draft.element(element_id)
        return place(draft, element, text) if fact == "container"
        return Basalt::Change::Set.new(id: element_id, fact:, value: text == "yes") if fact == "assumed"

        whole = sheet.notation.completed(draft, element, fact, text)
        Basalt::Change::Set.new(id: element_id, fact:, value: whole.to_s.empty? ? nil : whole)
      end

      def title(set, element)
        return "nothing" unless element

        return "#{element.kind} #{element.endpoints.map { |id| set.element(id)&.name }.join(" – ")}" if element.relation?

        element.name || Basalt::Families.title(set, element)
      end

      private

      def place(draft, element, text)
        return contained(element, nil) if text.empty?

        found = draft.named(text).select { |other| element.description.containers.include?(other.kind) }
        raise Basalt::Mistake, "There is no place called “#{Basalt::Model::Names.short(text)}”" if found.empty?
        raise Basalt::Mistake, "There are #{found.length} places called “#{text}”: say it as a statement" if found.length > 1

        contained(element, found.first.id)
      end

      # With what goes along where the kind says so.
      def contained(element, id)
        if element.description.moving
          element.description.moving.new(id: element.id, container_id: id)
        else
          Basalt::Change::Set.new(id: element.id, fact: "container", value: id)
        end
      end
    end
  end
end
