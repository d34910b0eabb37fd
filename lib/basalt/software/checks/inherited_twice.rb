# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An attribute that a class declares although it inherits it, or inherits from two sides; redefining it is another matter.
      class InheritedTwice < Basalt::Checks::Check
        rule "inherited-twice", :warning, reads: %w[class property generalisation]

        def findings = set.of_kind("class").reject { |one| inheritance.above(one.id).empty? }.flat_map { |one| about(one) }

        private

        def inheritance = analysis[Classes::Inheritance]
        def attributes(id) = inheritance.own(id).select { |part| part.kind == "property" }

        def about(one)
          above = inheritance.above(one.id) - [one.id]
          by_name = above.flat_map { |id| attributes(id) }.group_by(&:name)
          own = attributes(one.id).reject { |part| redefines?(part) }
          again = own.filter_map { |part| by_name[part.name]&.then { |others| declared(one, part, others.first) } }
          again + by_name.filter_map { |name, parts| sides(one, name, parts) unless own.any? { |part| part.name == name } }
        end

        def redefines?(part) = part["modifiers"].to_s.split(", ").any? { |word| word.start_with?("redefines") }

        def declared(one, part, other)
          finding(
            [one.id, part.id],
            "#{one.name} has #{part.name}, and inherits it from #{set.element(other.owner_id).name}",
            "It would be there twice. Where it is meant to be another, it redefines the inherited one.",
            repair: repair("Leave it to #{set.element(other.owner_id).name}", Change::Remove.new(id: part.id)),
            also: [other.id]
          )
        end

        # From two of which neither is above the other, and below none that has it from both.
        def sides(one, name, parts)
          owners = parts.reject { |part| redefines?(part) }.map(&:owner_id)
          owners = owners.reject { |id| owners.any? { |other| inheritance.above(other).include?(id) } }
          return if owners.length < 2 || Generalising.direct(set, one.id).any? { |id| (owners - [id, *inheritance.above(id)]).empty? }

          finding(
            [one.id, *parts.map(&:id)],
            "#{one.name} inherits #{name} from #{English.list(owners.map { |id| set.element(id).name })}",
            "Which of them is meant has to be said by redefining it."
          )
        end
      end
    end
  end
end
