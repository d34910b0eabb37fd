# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # An answer that somebody typed: a use case (“Enter crew”), an actor (“Duty Manager”), or both (“Duty Manager: Enter crew”). It
      # stands on the sheet from then on, with a thread to what was asked about.
      class Answer
        BOTH = /\A([^:]{1,200}):\s*(\S.*)\z/m

        # @param sheet_id [String]
        # @param system_id [String] of the system that is asked about
        # @param verb [String] of Threads::VERBS
        # @param source_id [String] of what is asked about
        # @param text [String]
        def initialize(sheet_id:, system_id:, verb:, source_id:, text:)
          @sheet_id = sheet_id
          @system_id = system_id
          @verb = verb
          @source_id = source_id
          @text = text.to_s.strip
        end

        # @return [Array<Model::Element>] what answers
        # @raise [Mistake] where there is nothing in it
        def apply(draft)
          raise Mistake, "Say who does it, or what is done" if @text.empty?

          @draft = draft
          actor, use_case = parted
          source = draft.element(@source_id) or raise Refusals::Gone, "what was asked about"
          actor ||= asking(source) if use_case
          join(actor, use_case) if actor && use_case
          draft.apply(Threads.joining(draft, (use_case || actor).id, @verb, @source_id))
          [actor, use_case].compact
        end

        private

        # @return [Array(Model::Element, Model::Element)] actor and use case; either may be nil
        def parted
          who, does = @text.match(BOTH)&.captures
          return [actor(who), use_case(does)] if who

          name = Model::Names.clean(@text)
          actor?(name) ? [actor(name), nil] : [nil, use_case(name)]
        end

        # What is called as nobody calls what is done is somebody.
        def actor?(name)
          known = @draft.named(name).map(&:kind)
          return known.include?("actor") if known.include?("actor") || known.include?("use case")

          !English::Phrases.imperative?(name) && Threads::LIFE.include?(@verb)
        end

        # What somebody outside wants is theirs.
        def asking(source)
          return unless @verb == "is wanted by"

          known = Threads.to(@draft, source.id).find { |one| one["verb"] == "comes from" }&.target("of")
          found = (known && @draft.element(known)) || actor(source.name, nature(source))
          @draft.apply(Threads.joining(@draft, found.id, "comes from", source.id))
          found
        end

        def nature(source) = source.kind == "system" ? "system" : (source["nature"] if %w[person system].include?(source["nature"]))

        def actor(name, nature = nil) = shown(known(name, "actor") || add("actor", name, { "nature" => nature }.compact))
        def use_case(name) = shown(known(name, "use case") || add("use case", name, {}, @system_id))
        def known(name, kind) = @draft.named(Model::Names.clean(name), kind).first

        def add(kind, name, facts, container_id = nil) = Change::Add.new(kind:, name:, facts:, container_id:).apply(@draft)

        def shown(element)
          [(@draft.element(element.container_id) if element.container_id), element].compact.each do |one|
            Change::Show.new(sheet_id: @sheet_id, element_id: one.id).apply(@draft)
          end
          element
        end

        def join(actor, use_case)
          return if @draft.relations_between(actor.id, use_case.id, "involvement").any?

          ends = [["actor", actor.id], ["use case", use_case.id]]
          Change::Add.new(kind: "involvement", ends:, facts: @verb == "is wanted by" ? { "starts" => true } : {}).apply(@draft)
        end
      end
    end
  end
end
