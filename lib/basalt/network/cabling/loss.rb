# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # What is cut off when a unit, a member of a stack, a cable or a place is lost: the units that could reach the outside
      # by cables before and cannot any more; where there is no outside, those that lose the largest part they hung together with.
      class Loss
        # @param set [Model::WorkingSet, Change::Draft]
        def initialize(set)
          @set = set
          @near = Hash.new { |hash, node| hash[node] = [] }
          set.of_kind("link").each { |cable| join(cable) unless cable["medium"] == "power" || cable["planned"] }
          @near.keys.group_by(&:first).each_value { |nodes| nodes.combination(2) { |one, other| connect(one, other, nil) } }
        end

        # @param ids [Array<String>] of units and cables that are lost
        # @param member [Integer, nil] the only one that is lost, of the stack
        # @return [Array<String>] ids of the units that are cut off, in order of making
        def cut(ids, member: nil)
          lost = ids.to_set
          gone = @near.keys.select { |unit, own| lost.include?(unit) && (member.nil? || own == member) }.to_set
          left = parts(gone, lost)
          severed = parts(Set.new, Set.new).flat_map { |part| severed(part, gone, left) }.uniq
          (severed - ids).sort_by { |id| @set.element(id).ordinal }
        end

        private

        # Ends of stacks are nodes of their own, since one member can be lost alone.
        def join(cable)
          one, other = cable.ends.values_at(0, -1).map { |joined| node(joined) }
          connect(one, other, cable.id) unless one == other
        end

        def node(joined)
          unit = @set.element(joined.target_id)
          return [joined.target_id, nil] unless unit.kind == "device" && joined.facts["port"]

          ports = (@ports ||= PortsByUnit.new(@set))[unit]
          [unit.id, ports.stacked? ? ports.find(joined.facts["port"])&.member : nil]
        end

        def connect(one, other, cable_id)
          @near[one] << [other, cable_id]
          @near[other] << [one, cable_id]
        end

        # @return [Array<Set>] what hangs together without these
        def parts(gone, lost)
          seen = gone.dup
          @near.keys.filter_map do |start|
            next if seen.include?(start)

            found = Set.new
            waiting = [start]
            while (node = waiting.pop)
              next if seen.include?(node) || !found.add?(node)

              @near[node].each { |other, cable_id| waiting << other unless cable_id && lost.include?(cable_id) }
            end
            seen.merge(found)
            found
          end
        end

        # Of what hung together, the units that do not any more with what matters.
        def severed(part, gone, left)
          pieces = left.select { |piece| piece.subset?(part) }
          kept = part.any? { |node| outside?(node) } ? pieces.select { |piece| piece.any? { |node| outside?(node) } } : largest(pieces)
          (part - gone).map(&:first).uniq - kept.flat_map { |piece| piece.map(&:first) }
        end

        def largest(pieces) = [pieces.max_by(&:length)].compact
        def outside?(node) = @set.element(node.first)&.kind == "outside"
      end
    end
  end
end
