# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # What a relationship says in sentences, what an entity's attributes could become, how a table came about.
        class ElementPanel
          VERDICTS = {
            confirmed: ["confirmed", %w[disputed open]],
            disputed: ["disputed", %w[confirmed open]],
            open: ["nobody confirmed it yet", %w[confirmed disputed]]
          }.freeze
          ACTS = { "confirmed" => "Confirm", "disputed" => "Dispute", "open" => "Leave open" }.freeze
          # A sentence of a relationship: what is said of it in words, and what it could be judged to be.
          Sentence = Basalt::Value.of(:text, :verdict, :words, :acts)
          TEMPLATES = { "relationship" => :relationship_facts, "entity" => :entity_facts, "table" => :table_facts,
                        "view" => :table_facts }.freeze
          private_constant :VERDICTS, :ACTS, :TEMPLATES

          def initialize(project:, element:, **)
            @set = project.set
            @element = element
          end

          # @return [Symbol, nil] the template of its kind
          def template = TEMPLATES[@element.kind]

          # @return [Array<Sentence>]
          def sentences
            Basalt::Data::ReadBack.of(@set, @element).map do |one|
              words, others = VERDICTS.fetch(one.verdict)
              Sentence.new(text: one.text, verdict: one.verdict, words:, acts: others.map { |verdict| [verdict, ACTS[verdict]] })
            end
          end

          def turnable? = @element["back"]

          # @return [Array<Basalt::Model::Element>]
          def attributes = @attributes ||= Basalt::Data::Describing.of(@set, @element.id)
          def special? = Basalt::Data::Specialising.generals(@set, @element.id).any?

          # @return [Boolean] whether it could as well be an attribute of the one that it is joined to
          def demotable? = @set.relations_of(@element.id).one?

          # @return [String, nil] how it came about
          def why = @element["why"]

          # @return [Basalt::Model::Element, nil] what it was derived from
          def source = @source ||= Basalt::Data::Threads.source(@set, @element)

          # @return [Basalt::Model::Sheet, nil] where that stands
          def source_sheet = @element.kind == "table" ? @set.sheets_of(source.id).first&.then { |id| @set.sheets[id] } : nil

          # @return [Basalt::Data::Logical::NormalForms, nil] of a table of which something is said to determine something
          def forms
            return unless @element.kind == "table" && Basalt::Data::Determining.of(@set, @element.id).any?

            @forms ||= Basalt::Data::Determining.forms(@set, @element)
          end

          def table? = @element.kind == "table"

          # @return [Array<Basalt::Data::Logical::GuessedTypes::Guess>]
          def guesses = table? ? Basalt::Data::Logical::GuessedTypes.of(@set, @element) : []

          # @return [Array<String>] its candidate keys
          def keys = forms.keys.map { |key| key.to_a.join(", ") }

          # @return [Array<String>] what breaks which form
          def breaches = forms.breaches.map { |one| "#{one.dependency} keeps it from the #{one.form}" }

          # @return [Array<Array(Integer, String)>] of how many rows of which table each row needs
          def minimums
            return [] unless @element.kind == "table"

            Basalt::Data::Tabling.minimums(@set, @element.id).map { |need| [need["least"], @set.element(need.target("of"))&.name] }
          end
        end
      end
    end
  end
end
