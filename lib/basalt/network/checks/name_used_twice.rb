# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # Two devices, outsides or subnets of one name; two places of one name in the same place.
      class NameUsedTwice < Basalt::Checks::Check
        KINDS = %w[device outside subnet place].freeze
        rule "name-used-twice", :error, reads: KINDS, each: KINDS

        # How many names that are numbered alike are looked at.
        MOST = 60

        # The name that another would get instead is one of those that are numbered alike.
        def self.reached(analysis, touched)
          elements = analysis.set.elements
          stems = touched.names.map { |name| name[/\A(.*?)(?:-\d+)?\z/m, 1].downcase }.uniq
          alike = stems.flat_map { |stem| elements.keys_beginning(:name, stem, MOST) }.map { |name| elements.ids_by(:name, name) }
          super | alike.select { |ids| ids.length > 1 }.flatten
        end

        # Of those that have a name the first keeps it.
        def about(thing)
          namesakes = set.named(thing.name).select { |other| mark(other) == mark(thing) }
          namesakes.first.id == thing.id ? [] : [twice(namesakes.first, thing)]
        end

        private

        def mark(thing)
          thing.kind == "place" ? [thing.kind, thing.name, thing.container_id] : [thing.kind, thing.name]
        end

        def twice(first, other)
          finding([other.id, first.id], "#{other.name} is the name of two #{other.description.plural}",
                  "Whoever reads #{other.name} on a label or in a log cannot tell the #{first.noun} from the #{other.noun}.",
                  repair: rename(other))
        end

        def rename(thing)
          name = Model::Names.following(thing.name) { |proposal| set.named(proposal).any? }
          repair("Call the #{thing.noun} #{name}", Change::Set.new(id: thing.id, fact: "name", value: name))
        end
      end
    end
  end
end
