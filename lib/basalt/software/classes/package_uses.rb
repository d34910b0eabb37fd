# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # Which package needs which: by the lines between their classes and by the types of features.
      class PackageUses
        LINES = %w[association aggregation composition generalisation realisation dependency].freeze

        # @param set [Model::WorkingSet, Change::Draft]
        def initialize(set)
          @set = set
          @packages = Hash.new { |table, id| table[id] = package(id) }
        end

        # @return [Hash{Array(String, String) => String}] from and to, with one reason in words
        def pairs = @pairs ||= (lines + types).each_with_object({}) { |(from, to, why), found| found[[from, to]] ||= why }

        private

        # The nearest package around something.
        def package(id)
          step = @set.element(id)
          step = @set.element(step.owner_id) while step&.owner_id
          step = step&.container_id && @set.element(step.container_id) until step.nil? || step.kind == "package"
          step&.id
        end

        def between(one, other, why)
          from, to = @packages[one], @packages[other]
          [from, to, why] if from && to && from != to
        end

        def lines
          @set.of_kind(*LINES).flat_map do |line|
            one, other = line.endpoints
            words = "#{@set.element(one).name} – #{@set.element(other).name}"
            [(between(one, other, words) unless blind?(line, 1)), (between(other, one, words) if seen?(line))].compact
          end
        end

        # The first end of a line knows the other unless it says that it does not; the other the first only where it says so.
        def blind?(line, index) = line.ends.values_at(0, -1)[index].facts["navigable"] == "no"
        def seen?(line) = line.ends.first.facts["navigable"] == "yes"

        def types
          @set.of_kind("property", "operation").flat_map do |part|
            owner = @set.element(part.owner_id)
            Types.of(part).flat_map do |name|
              Types.classes(@set, name, owner).first(1).filter_map { |one| between(owner.id, one.id, "#{owner.name}.#{part.name}") }
            end
          end
        end
      end
    end
  end
end
