# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # The ports of one unit, as its patterns and the project's numbering make them. They are counted and found without being
      # made; what is gone through is made one by one.
      class Ports
        # @param set [Model::WorkingSet, Change::Draft]
        # @param unit [Model::Element] a device
        # @param numbering [Numbering]
        def self.of(set, unit, numbering = Numbering.of(set)) = new(unit, numbering, Models.of(set, unit))

        # @param unit [Model::Element]
        # @param numbering [Numbering]
        # @param models [Array<Array(Model::Element, Integer)>] what it is of, and its cards with their slots
        def initialize(unit, numbering, models = [])
          @unit = unit
          @numbering = numbering
          @models = models
          @found = {}
          @groups =
            PortGroups.read(unit["ports"]) +
            models.flat_map { |model, slot| PortGroups.read(model["ports"]).map { |group| slot ? group.with(slot:) : group } }
        end

        attr_reader :unit, :groups

        # @return [Boolean] whether anything is known of them; a unit without patterns may have any
        def known? = groups.any?

        # @return [Integer] members of a stack whose ports are told apart; 1 where it is none
        def members = stacked? ? told_members : 1

        def count = groups.sum(&:count) * members

        # @param label [String]
        # @return [Port, nil]
        def find(label) = @found.fetch(label) { @found[label] = sought(label) }

        # @return [Enumerator<Port>] in order: member by member, group by group
        def each
          return enum_for(:each) unless block_given?

          (stacked? ? 1..members : [nil]).each do |member|
            groups.each { |group| group.names.each { |name| yield port(group, name, member) } }
          end
        end

        # @param port [Port] of a unit like this one before it was altered
        # @return [String, nil] what it is called here; nil where there is no such member
        def label(port)
          member = port.member || 1
          return if member > members

          @numbering.label(port.name, member: stacked? ? member : nil, slot: port.slot)
        end

        # @return [Boolean] whether it is a stack whose members are told apart
        def stacked? = @numbering.has?("MEMBER") && told_members > 1

        # @param member [Integer, nil] nil where it is no stack
        # @return [Port]
        def port(group, name, member)
          Port.new(label: @numbering.label(name, member:, slot: group.slot), name:, member:, slot: group.slot, group:)
        end

        # Its own number counts before that of its model.
        #
        # @return [Integer] members of the stack, whether the numbering tells them apart or not
        def told_members = (unit["members"] || @models.filter_map { |model, slot| model["members"] unless slot }.first).to_i

        private

        def sought(label)
          groups.each do |group|
            name, member, slot = @numbering.read(label, member: stacked?, slot: !group.slot.nil?)
            next unless name && group.names.include?(name) && (member.nil? || member.between?(1, members))
            next if slot && slot != group.slot

            return member || slot ? port(group, name, member) : Port.restore([label, name, nil, group.slot, group])
          end
          nil
        end
      end
    end
  end
end
