# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # What a unit shows to whoever stands before it: member by member and slot by slot its ports, with what is plugged in. Of long
      # runs of free ports only the ends are told, so that it costs what is used.
      class Faceplate
        # +member+ of a stack, nil where it is none; +slot+, nil for ports of the unit itself; +card+ that sits there; +group+ of like
        # ports, nil for an empty slot; +cells+ of its ports, and how many are +free+ of +count+. What is at no port of the unit is
        # +apart+: +:missing+ among its ports, +:undecided+, or +:unsaid+ where nothing is said of its ports.
        Section = Value.of(:member, :slot, :card, :group, :cells, :free, :count, :apart)
        # One port, or a run of free ones: +first+ and +last+ label, how many, what ends there.
        Cell =
          Value.of(:first, :last, :count, :ends) do
            def run? = count > 1
            def free? = ends.empty?
          end
        # Free ports in a row that are told one by one, and cables that are told of one unit.
        LONGEST_RUN = 16
        MOST = 2000

        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        # @param unit [Model::Element]
        def initialize(set, unit)
          @set = set
          @unit = unit
          @list = PortList.new(set, unit)
          @models = Models.of(set, unit)
        end

        attr_reader :unit

        def ports = @list.ports

        # @return [Array<Section>] the last ones tell what is at no port of the unit
        def sections = @sections ||= [*members.flat_map { |member| of_member(member) }, *unknown]

        # @return [String, nil] name of the model that it is of
        def model = @models.find { |_, slot| slot.nil? }&.first&.name

        private

        def members = ports.stacked? ? (1..ports.members).to_a : [nil]

        def of_member(member)
          slots = [nil, *(1..(Models.slots(@set, @unit) || 0)), *ports.groups.filter_map(&:slot), *@models.filter_map(&:last)].uniq
          slots.sort_by { |slot| slot || -1 }.flat_map { |slot| of_slot(member, slot) }
        end

        def of_slot(member, slot)
          card = slot && @models.find { |_, at| at == slot }&.first&.name
          groups = ports.groups.select { |group| group.slot == slot }
          return groups.map { |group| section(member, slot, card, group) } if groups.any?

          slot ? [Section.new(member:, slot:, card:, cells: [], free: 0, count: 0)] : []
        end

        def section(member, slot, card, group)
          lines = lines_by_group.fetch([member, group], [])
          free = lines.select { |line| line.ends.empty? }.sum(&:count)
          cells = lines.first(MOST).flat_map { |line| cells(line, group, member) }
          Section.new(member:, slot:, card:, group:, cells:, free:, count: group.count)
        end

        def cells(line, group, member)
          return [cell(line)] if line.count == 1 || line.count > LONGEST_RUN

          from = group.names.index(ports.find(line.first).name)
          (from...(from + line.count)).map do |index|
            label = ports.port(group, group.names.at(index), member).label
            Cell.new(first: label, last: label, count: 1, ends: [])
          end
        end

        def cell(line) = Cell.new(first: line.first, last: line.last, count: line.count, ends: line.ends)

        # The lines come member by member and group by group; a run of free ports begins with one.
        def lines_by_group
          @lines_by_group ||=
            @list.lines.select(&:group).group_by { |line| [ports.find(line.first)&.member, line.group] }
        end

        def unknown
          lines = @list.lines.reject(&:group).first(MOST).group_by { |line| apart(line) }
          lines.map { |apart, some| Section.new(cells: some.map { |line| cell(line) }, free: 0, count: some.length, apart:) }
        end

        def apart(line)
          return :undecided unless line.first

          ports.known? ? :missing : :unsaid
        end
      end
    end
  end
end
