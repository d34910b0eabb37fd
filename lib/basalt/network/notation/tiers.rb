# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # The tier of each thing and subnet: as many steps from the outside as it takes to reach it.
      class Tiers
        def initialize(set, things, lines)
          @set = set
          @things = things
          @near = things.to_h { |thing| [thing.id, []] }
          lines.each do |line|
            one, other = line.targets
            @near[one] << other
            @near[other] << one
          end
        end

        # @return [Hash{String => Integer}] by id
        def levels
          @levels = {}
          spread(@things.select { |thing| thing.kind == "outside" }.map(&:id), 0)
          @things.sort_by { |thing| [prominence(thing), thing.ordinal] }.each do |thing|
            spread([thing.id], thing.kind == "subnet" ? 2 : 1) unless @levels.key?(thing.id)
          end
          lift
          @levels
        end

        private

        def spread(ids, level)
          ids.each { |id| @levels[id] = level }
          until ids.empty?
            level += 1
            ids = ids.flat_map { |id| @near[id] }.uniq.reject { |id| @levels.key?(id) }
            ids.each { |id| @levels[id] = level }
          end
        end

        # Where no outside tells where to begin: routers before firewalls before the rest, the most joined first.
        def prominence(thing)
          order = %w[router firewall switch].index(thing["role"]) || (thing.kind == "subnet" ? 4 : 3)
          [order, -@near[thing.id].length]
        end

        # What carries traffic for one subnet alone stands above it.
        def lift
          @things.each do |thing|
            next unless thing.kind == "device" && LogicalLayout::ABOVE.include?(thing["role"]) && @near[thing.id].uniq.one?

            subnet = @set.element(@near[thing.id].first)
            @levels[thing.id] = @levels[subnet.id] - 1 if subnet.kind == "subnet" && @levels[subnet.id].positive?
          end
        end
      end
    end
  end
end
