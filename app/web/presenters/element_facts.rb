# frozen_string_literal: true

module Web
  module Presenters
    # The margin when one thing, or one line, is selected.
    class ElementFacts
      # @param placement [Basalt::Model::Placement, nil] the occurrence that is meant
      def initialize(project, sheet, element, placement)
        @project = project
        @set = project.set
        @sheet = sheet
        @element = element
        @placement = placement
      end

      attr_reader :element

      def title = Acting.title(@set, @element)

      # @return [Array<Field>]
      def fields = [*name, *ends, *facts, *container]

      # @return [Hash{String => Array<String>}] what can be chosen at an end, by the fact
      def end_choices = description.end_fields.select(&:choices).to_h { |fact| [fact.name, fact.choices] }

      # @return [Array<Array(String, String)>] what follows from the rest
      def computed = @sheet.notation.computed(@set, @element)

      # @return [Array<Array(Basalt::Model::Sheet, Integer)>] where it stands besides, with whether that is above or below
      def elsewhere
        @elsewhere ||=
          SheetDepth.others(@set, @element, @sheet).map { |other| [other, SheetDepth.of(other) <=> SheetDepth.of(@sheet)] }
      end

      def assumed
        options = [["", "no, confirmed"], %w[yes yes]]
        Field.chosen("fact-assumed", "assumed", @element.assumed ? "yes" : "", options, rest, { fact: "assumed" })
      end

      # @return [Array<String>] kinds of parts that are filled in here
      def part_kinds
        return [] unless thing_here?

        @sheet.notation.parts.select { |kind| Basalt::Model::Catalogue.kind(kind).owner.include?(@element.kind) }
      end

      # @return [Array<Field>] which symbol of one's own stands for it, and for all of its kind
      def symbols
        own = @set.of_kind(Basalt::Drawing::Symbols::KIND)
        return [] unless own.any? && thing_here? && description.figure.nil?

        every = Basalt::Drawing::Symbols.standing_for(@set, @element.noun)
        [
          symbol("own", "symbol", "none", own, Basalt::Drawing::Symbols.own(@set, @element), {}),
          symbol("every", "symbol of every #{@element.noun}", "the house's", own, every, { every: "yes" })
        ]
      end

      def thing_here? = @placement && !@element.relation?
      def emphasis = @placement.shape&.fetch("emphasis", nil)
      def emphases = @project.contents(@sheet.id).emphases
      def labelled? = @placement && @element.relation? && @sheet.notation.labels(@set, @element).any?
      def label_hidden? = @placement.shape&.fetch("labels_hidden", nil)
      def route_kept? = @placement&.kept?
      def repeatable? = @sheet.notation.repeatable?(@set, @sheet.id, @element)
      def pinned? = @placement.pinned

      # @return [Array<Basalt::Model::Element>] the lines of the bundle that a line is in; itself where it is in none
      def bundle = @bundle ||= @element.relation? && @sheet.notation.bundles? ? drawn.bundled(@element) : [@element]
      def bundle_open? = drawn.bundle(@element).one?
      def closed? = nesting.closed?(@element.id)
      def collapsible? = @placement && (nesting.boundary?(@element.id) || closed?)
      def drawn? = @set.placements_on(@sheet.id).any?

      private

      # What is not in the mono face, being words.
      WORDS = %w[name note container].freeze
      private_constant :WORDS

      def description = @element.description
      def rest = "facts/#{@element.id}"
      def drawn = @drawn ||= Basalt::Drawing::AsDrawn.of(@set, @sheet.id)
      def nesting = @nesting ||= Basalt::Drawing::Nesting.new(@set, @sheet.id)
      def name = description.named? ? [typed("name", @element.relation? ? "verb" : "name", @element.name)] : []

      def ends
        @element.ends.first(2).flat_map do |joined|
          description.end_fields.map do |fact|
            Field.typed(
              "end-#{joined.role}-#{fact.name}",
              "#{@set.element(joined.target_id).name}: #{fact.title}",
              joined.facts[fact.name],
              "ends/#{@element.id}",
              { role: joined.role, fact: fact.name },
              mono: false,
              list: fact.choices && "choices-#{fact.name}",
              most: 200
            )
          end
        end
      end

      def facts
        shown = description.fields.values.reject(&:internal).select { |fact| fact.on?(@sheet.notation) || @element[fact.name] }
        shown.map { |fact| field(fact) }
      end

      def field(fact)
        case fact.type
        when :flag
          chosen(fact, @element[fact.name] ? "yes" : "", [["", "no"], %w[yes yes]])
        when :choice
          chosen(fact, @element[fact.name], [*(needed?(fact) ? [] : [["", ""]]), *fact.choices.map { |choice| [choice, choice] }])
        when :lines
          Field.written("fact-#{fact.name}", fact.title, @element[fact.name], rest, { fact: fact.name })
        else
          typed(fact.name, fact.title, @element[fact.name])
        end
      end

      def needed?(fact) = description.role == fact.name && description.nouns.values.all? { |facts| facts.key?(fact.name) }

      def container
        return [] if description.containers.empty? || description.local

        within = @element.container_id && @set.element(@element.container_id)
        [typed("container", description.containers == [@element.kind] ? "part of" : "in", within&.name)]
      end

      def typed(fact, label, value) = Field.typed("fact-#{fact}", label, value, rest, { fact: }, mono: !WORDS.include?(fact))
      def chosen(fact, value, options) = Field.chosen("fact-#{fact.name}", fact.title, value, options, rest, { fact: fact.name })

      def symbol(id, label, none, own, given, sent)
        options = [["", none], *own.map { |one| [one.id, one.name] }]
        Field.chosen("symbol-#{id}", label, given&.id, options, "symbol/#{@element.id}", sent, name: "symbol")
      end
    end
  end
end
