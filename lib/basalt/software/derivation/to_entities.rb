# frozen_string_literal: true

module Basalt
  module Software
    module Derivation
      # From classes to entities: those that are not there yet, their attributes and relationships. A class that came from an entity, or is
      # called as one, has its entity already, which only gets what it lacks.
      class ToEntities
        WORDS = { "1" => "exactly one", "0..1" => "zero or one", "1..*" => "one or more", "0..*" => "zero or more" }.freeze

        NO_ENTITIES = [Classes::Kinds::INTERFACE, Classes::Kinds::ENUMERATION, Classes::Kinds::PRIMITIVE].freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param classes [Array<Model::Element>]
        def initialize(set, classes)
          @set = set
          @classes = classes.reject { |one| NO_ENTITIES.include?(one["sort"]) }
        end

        # @return [Array<Change::Step>]
        def steps = @steps ||= entities + attributes + kinds + relationships

        # @param keys [Array<String>, nil] of the steps to take; nil for all
        # @return [Change::Draft]
        def into(draft, keys: nil)
          steps.select { |step| keys.nil? || keys.include?(step.key) }.each { |step| step.apply(draft) }
          draft
        end

        # @return [Model::Element, nil] the entity of a class
        def entity(set, one)
          threads = UseCases::Threads.of(set, one.id).select { |thread| thread["verb"] == "comes from" }
          source = threads.map { |thread| set.element(thread.target("source")) }.find { |found| found.kind == "entity" }
          source || [one.name, title(one)].lazy.flat_map { |name| set.named(name) }.find { |found| found.kind == "entity" }
        end

        private

        def step(words, why = nil, &change) = Change::Step.new(act: :add, key: "add #{words}", words:, change:, why:)
        def title(one) = Naming.title(one.name)

        def entities
          @classes.reject { |one| entity(@set, one) }.map do |one|
            step("entity #{title(one)}", "It comes from the class #{one.name}.") do |draft|
              made = Change::Add.new(kind: "entity", name: title(one)).apply(draft)
              draft.apply(UseCases::Threads.joining(draft, one.id, "comes from", made.id))
            end
          end
        end

        def attributes
          @classes.flat_map do |one|
            known = entity(@set, one)&.then { |found| within(found.id) } || []
            Classes::Featuring.attributes(@set, one.id).reject { |part| held?(part, known, one) }.map { |part| attribute(one, part) }
          end
        end

        # Attributes and their parts, as features are written.
        def within(id)
          @set.parts_of(id).select { |part| part.kind == "attribute" }.flat_map { |part| [Naming.feature(part.name), *within(part.id)] }
        end

        # What is of a class is a relationship, and no attribute.
        def held?(part, known, one) =
          part.kind != "property" || known.include?(part.name) || Classes::Facts.static?(part) ||
            Classes::Types.names(part["type"]).any? { |name| Classes::Types.classes(@set, name, one).any? { |found| found["sort"].nil? } }

        def attribute(one, part)
          words = Naming.words(part.name)
          step("#{title(one)} has #{words}") do |draft|
            owner = entity(draft, one) or next
            times = Features::Multiplicity.of(part["multiplicity"] || "1")
            facts = {
              "key" => (true if part["modifiers"].to_s.split(", ").include?("id")),
              "many" => (true if times.many?),
              "required" => (true if times.low.positive?),
              "derived" => part["derived"]
            }.compact
            Change::Add.new(kind: "attribute", name: words, owner_id: owner.id, facts:).apply(draft)
          end
        end

        def kinds
          pairs = @classes.flat_map { |one| Generalising.direct(@set, one.id).map { |id| [one, @set.element(id)] } }
          pairs.select { |_, general| @classes.include?(general) }.reject { |one, general| kind?(one, general) }.map do |one, general|
            step("#{title(one)} is a kind of #{title(general)}") do |draft|
              special, other = entity(draft, one), entity(draft, general)
              next unless special && other

              Change::Add.new(kind: "specialisation", ends: [["special", special.id], ["general", other.id]]).apply(draft)
            end
          end
        end

        def kind?(one, general)
          special, other = entity(@set, one), entity(@set, general)
          return false unless special && other

          @set.relations_between(special.id, other.id, "specialisation").any? { |line| line.target("general") == other.id }
        end

        def relationships
          ids = @classes.to_set(&:id)
          lines = @set.of_kind(*Classes::Kinds::ASSOCIATIONS).select { |line| line.endpoints.all? { |id| ids.include?(id) } }
          lines.reject { |line| related?(line) }.map do |line|
            one, other = line.endpoints.map { |id| @set.element(id) }
            step("#{title(one)} #{verb(line)} #{title(other)}") { |draft| relate(draft, line, one, other) }
          end
        end

        def verb(line) = line["called"] || (line.kind == "association" ? "has" : "consists of")

        def related?(line)
          one, other = line.endpoints.map { |id| entity(@set, @set.element(id)) }
          one && other && @set.relations_between(one.id, other.id, "relationship").any? { |known| known.ends.length == 2 }
        end

        def relate(draft, line, one, other)
          from, to = entity(draft, one), entity(draft, other)
          return unless from && to

          ends = [["one", from, line.ends.first], ["other", to, line.ends.last]].map do |role, element, end_|
            facts = { "cardinality" => words(end_.facts["multiplicity"]), "role" => (end_.facts["role"] if role == "other") }
            [role, element.id, facts.compact]
          end
          Change::Add.new(kind: "relationship", name: verb(line), ends:).apply(draft)
        end

        def words(times) = times && (WORDS[times] || times.match(/\A(\d+)\.\.(\d+)\z/)&.then { |found| "#{found[1]} to #{found[2]}" })
      end
    end
  end
end
