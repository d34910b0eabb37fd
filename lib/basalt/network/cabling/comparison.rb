# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # What is otherwise on one unit than on another: ports that only one has, and ports of one label that lead elsewhere or are
      # used on one alone. It costs what is used, and not what there is.
      class Comparison
        # +label+ of a port, or the names of several; what is +here+, and what is +there+, nil where nothing is.
        Difference = Value.of(:label, :here, :there)

        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        # @param here [Model::Element] a unit
        # @param there [Model::Element] another
        def initialize(set, here, there)
          @set = set
          @units = [here, there]
          @ports = @units.map { |unit| Ports.of(set, unit) }
          @used = @units.map { |unit| CableEnds.by_label(set, unit.id) }
        end

        # @return [Array<Difference>] of patterns first, then of ports, in order
        def differences = @differences ||= [*members, *patterns, *used_otherwise]

        # @return [Boolean] whether a port is used on one alone
        def lone_use?(label) = (@lone ||= used_otherwise.select { |one| one.here.nil? || one.there.nil? }.to_set(&:label)).include?(label)

        # @param group [PortGroup]
        # @return [Boolean] whether only one has ports like these
        def lone?(group) = @ports.one? { |ports| ports.groups.map { |one| key(one) }.include?(key(group)) }

        private

        def members
          here, there = @ports.map(&:members)
          here == there ? [] : [Difference.new(label: "members", here: here.to_s, there: there.to_s)]
        end

        # What is there under the same names, and else of its own.
        def patterns
          mine, theirs = @ports.map { |ports| ports.groups.to_h { |group| [place(group), group] } }
          (mine.keys | theirs.keys).filter_map do |place|
            here, there = [mine, theirs].map { |groups| groups[place] && told(groups[place]) }
            Difference.new(label: place.compact.join(" "), here:, there:) unless here == there
          end
        end

        def place(group) = [("slot #{group.slot}" if group.slot), group.names.to_s]

        def told(group) = [*(group.use if group.power?), *group.taking].join(" ").then { |words| words.empty? ? "there" : words }

        def key(group) = [place(group), told(group)]

        def used_otherwise
          @used_otherwise ||=
            @used.flat_map(&:keys).uniq.sort_by { |label| NaturalOrder.key(label) }.filter_map do |label|
              here, there = @used.map { |ends| ends[label]&.map { |one| leads(one) } }
              next if here == there

              Difference.new(label:, here: here&.join("; "), there: there&.join("; "))
            end
        end

        # Ports that lead to the same port of each other are alike, and so are those that lead to different ports of one unit.
        def leads(one)
          far = one.others.first.target_id
          name = @units.map(&:id).include?(far) ? "the other" : @set.element(far).name
          joined = one.cable.ends.find { |each| each.role == one.role }
          [name, one.cable["medium"], one.cable["speed"], Vlans.told(joined)].compact.join(", ")
        end
      end
    end
  end
end
