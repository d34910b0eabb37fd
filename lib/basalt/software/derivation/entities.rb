# frozen_string_literal: true

module Basalt
  module Software
    module Derivation
      # Entities as classes: attributes with a type by what they are called, relationships as associations, kinds as generalisations.
      class Entities
        KIND = "entity"
        TIMES = {
          "exactly one" => "1", "zero or one" => "0..1", "one or more" => "1..*", "zero or more" => "0..*", "many" => "0..*"
        }.freeze
        # Types by the end of a name.
        TYPES = {
          /\b(at|time|moment)\z/i => "Time", /\b(on|date|day|from|until|since)\z/i => "Date",
          /\b(price|cost|amount|fee|charge)\z/i => "Decimal",
          /\b(count|number of .*|quantity|headcount|age|year)\z/i => "Integer", /\A(is|has|can) /i => "Boolean",
          /\b(length|width|height|depth|weight|pressure|level|value|limit|rate|share)\z/i => "Real"
        }.freeze

        # @param set [Model::WorkingSet, Change::Draft]
        def initialize(set)
          @set = set
        end

        # @return [Drawn]
        def drawn(entity)
          Drawn.new(
            source_id: entity.id,
            name: Classes::Facts.titled(entity.name),
            features: attributes(entity).uniq(&:name),
            generals: joined(entity, "specialisation", "special").map { |one| one.target("general") },
            lines: joined(entity, "relationship", "one").map { |one| line(one) }
          )
        end

        private

        def joined(entity, kind, role) = @set.relations_of(entity.id, kind).select { |one| one.target(role) == entity.id }

        # The parts of an attribute stand for it.
        def attributes(entity)
          simple(entity.id).map do |part|
            Features::Attribute.new(
              derived: part["derived"] == true,
              name: Naming.feature(part.name),
              type: type(part.name),
              multiplicity: Features::Multiplicity.of(times(part)),
              modifiers: part["key"] ? ["id"] : []
            ).then { |feature| feature.multiplicity == Features::Multiplicity.of("1") ? feature.with(multiplicity: nil) : feature }
          end
        end

        def simple(owner_id) =
          @set.parts_of(owner_id).select { |part| part.kind == "attribute" }
            .flat_map { |part| simple(part.id).then { |parts| parts.empty? ? [part] : parts } }

        def times(part)
          return "0..*" if part["many"]

          part["key"] || part["required"] || part["derived"] || part["partial"] ? "1" : "0..1"
        end

        def type(name) = TYPES.find { |pattern, _| name.match?(pattern) }&.last || "String"

        def line(relationship)
          one, other = relationship.ends
          role = other.facts["role"] || @set.element(other.target_id).name
          many = ->(end_) { count(end_.facts["cardinality"]) }
          name = Naming.feature(role)
          times = many.call(other)
          name = Naming.feature(English.plural(role)) if other.facts["role"].nil? && Features::Multiplicity.of(times.to_s)&.many?
          Line.new(other_id: other.target_id, role: name, times:, back_times: many.call(one))
        end

        def count(words) = words && (TIMES[words] || words.match(/\A(\d+) to (\d+)\z/)&.then { |found| "#{found[1]}..#{found[2]}" })
      end
    end
  end
end
