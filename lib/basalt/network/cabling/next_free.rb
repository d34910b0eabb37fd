# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Which ports a cable between two units should take: free ones that fit each other, the cable and the convention. The
      # fastest that both can is taken; towards a stack cables are spread over its members, at the same number on each; apart
      # from that ports are taken in order.
      class NextFree
        # What is proposed: a port at each end, and what the cable is then.
        Pair =
          Value.of(:one, :other, :medium, :speed) do
            # @return [Hash{String => String}] facts of the cable
            def facts = { "medium" => medium, "speed" => speed }.compact

            # @return [Array<Array>] ends of the cable between the two units, as Change::Add takes them
            def ends(one_id, other_id) = [["one", one_id, { "port" => one.label }], ["other", other_id, { "port" => other.label }]]
          end

        # @param set [Model::WorkingSet, Change::Draft]
        # @param medium [String, nil] of the cable, where it is decided
        # @param speed [String, nil]
        def initialize(set, medium: nil, speed: nil)
          @set = set
          @medium = medium
          @speed = speed
        end

        # @param one [Model::Element] a unit
        # @param other [Model::Element] another
        # @param taken [Array(String, String)] labels of ports that are decided; nil where one is not
        # @return [Pair, nil] nil where nothing that is free fits
        def pair(one, other, taken = [nil, nil])
          sides = [one, other].zip(taken, [other, one]).map { |unit, label, far| PortCandidates.new(@set, unit, far, label) }
          groups = fitting(sides)
          groups.each do |own, far|
            ports = [sides[0].first(own), sides[1].first(far)]
            return pair_of(*ports) if ports.all?
          end
          nil
        end

        # @return [Port, nil] a free port of a unit that a cable could take instead of another
        def port(unit, far_port = nil)
          side = PortCandidates.new(@set, unit, nil, nil)
          side
            .groups
            .select { |group| goes?(group, far_port&.group) }
            .sort_by { |group| -Speed.bits(Speed.common(group.speed, @speed)).to_f }
            .each { |group| side.first(group)&.then { |port| return port } }
          nil
        end

        private

        def fitting(sides)
          pairs = sides[0].groups.product(sides[1].groups).select { |own, far| goes?(own, far) }
          pairs.each_with_index.sort_by { |(own, far), index|
            [-Speed.bits(Speed.common(own.speed, far.speed, @speed)).to_f, index]
          }.map(&:first)
        end

        # Whether a cable such as is wanted goes from ports like these to ports like those.
        def goes?(own, far)
          return false unless far.nil? || (own.power? == far.power? && (!own.power? || own.use != far.use))

          [[own, far], [own, nil], [far, nil]].all? { |one, two| Medium.fits?(takes(one), two ? takes(two) : @medium) } &&
            Speed.fit?(own.speed, far&.speed, @speed)
        end

        # A port that takes a module goes over whatever data goes over.
        def takes(group) = group.nil? || group.pluggable ? nil : group.takes

        def pair_of(one, other)
          Pair.new(
            one:,
            other:,
            medium: [one, other].reduce(@medium) { |medium, port| Medium.finer(medium, port.takes) },
            speed: @speed || Speed.common(one.speed, other.speed)
          )
        end
      end
    end
  end
end
