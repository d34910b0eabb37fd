# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # The ports of one unit in order, each with where its cable leads; those that are free one after the other are one line.
      class PortList
        # +ports+ are the first and last of a run of free ones, or the one that is used or not known; +ends+ what ends there.
        Line = Value.of(:first, :last, :count, :group, :ends)

        # @param set [Model::WorkingSet, Change::Draft]
        # @param unit [Model::Element]
        def initialize(set, unit)
          @ports = Ports.of(set, unit)
          @used = CableEnds.of(set, unit.id).group_by(&:label)
        end

        attr_reader :ports

        # It costs what is used, and not what there is.
        #
        # @return [Array<Line>] those whose port is not among the unit's, or not decided, come last
        def lines
          known = (@used.keys.compact.filter_map { |label| @ports.find(label) }).group_by { |port| [port.member, port.group] }
          runs = members.flat_map { |member| @ports.groups.flat_map { |group| runs(group, member, known.fetch([member, group], [])) } }
          runs + unknown
        end

        private

        def members = @ports.stacked? ? (1..@ports.members).to_a : [nil]

        def runs(group, member, used)
          at = used.to_h { |port| [group.names.index(port.name), port] }
          next_free = 0
          lines = []
          at.keys.sort.each do |index|
            lines << free(group, member, next_free, index - 1) if index > next_free
            label = at[index].label
            lines << Line.new(first: label, last: label, count: 1, group:, ends: @used.fetch(label))
            next_free = index + 1
          end
          lines << free(group, member, next_free, group.count - 1) if next_free < group.count
          lines
        end

        def free(group, member, from, to)
          first, last = [from, to].map { |index| @ports.port(group, group.names.at(index), member).label }
          Line.new(first:, last:, count: to - from + 1, group:, ends: [])
        end

        def unknown
          @used
            .reject { |label, _| label && @ports.find(label) }
            .sort_by { |label, _| NaturalOrder.key(label) }
            .map { |label, ends| Line.new(first: label, last: label, count: 1, ends:) }
        end
      end
    end
  end
end
