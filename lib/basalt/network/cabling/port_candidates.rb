# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # One end of a cable that is to be: the free ports of its unit, in the order in which the convention takes them.
      class PortCandidates
        # @param far [Model::Element, nil] the unit at the other end
        # @param label [String, nil] of the port, where it is decided
        def initialize(set, unit, far, label)
          @unit = unit
          @far = far
          @ports = Ports.of(set, unit)
          @ends = CableEnds.of(set, unit.id)
          @used = @ends.filter_map(&:label).to_set
          @decided = label && @ports.find(label)
          @given = label
        end

        # @return [Array<PortGroup>] those that could be taken
        def groups = @given ? [@decided&.group].compact : @ports.groups

        # @return [Port, nil] the one to take of a group
        def first(group)
          return @decided if @given

          candidates = members.lazy.flat_map { |member| names(group).map { |name| @ports.port(group, name, member) } }
          candidates.find { |port| !@used.include?(port.label) }
        end

        private

        # Of a stack the member to which fewest cables come from the far unit, then fewest of all.
        def members
          return [nil] unless @ports.stacked?

          (1..@ports.members).sort_by { |member| [at(joined, member), at(taken, member), member] }
        end

        def at(ports, member) = ports.count { |port| port.member == member }
        def taken = @taken ||= ports_of(@ends)
        def joined = @joined ||= @far ? ports_of(@ends.select { |one| one.others.any? { |other| other.target_id == @far.id } }) : []
        def ports_of(ends) = ends.filter_map { |one| one.label && @ports.find(one.label) }

        # The number that the far unit has on another member already, then those that are free on all, then the rest.
        def names(group)
          return group.names.each unless @ports.stacked?

          same = joined.select { |port| port.group == group }.map(&:name)
          all = (1..@ports.members).to_a
          free = group.names.each.lazy.select { |name| all.none? { |member| @used.include?(@ports.port(group, name, member).label) } }
          [same, free, group.names.each].lazy.flat_map(&:itself)
        end
      end
    end
  end
end
