# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Where a cable leads in the end: from a port through patch panels, and through what only passes on, to the far end.
      class Trace
        # A port that is come to: +unit_id+, +label+ and the +cable+ that led there, nil at the beginning.
        Step = Value.of(:unit_id, :label, :cable)
        # What passes a signal on from one cable to the only other one.
        PASSING = ["modem"].freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param unit_id [String]
        # @param label [String] of one of its ports
        # @return [Array<Trace>] one for each cable there; one without steps further where nothing is plugged in
        def self.from(set, unit_id, label)
          ends = CableEnds.of(set, unit_id).select { |one| one.label == label }
          return [new(set, Step.new(unit_id:, label:), nil)] if ends.empty?

          ends.map { |one| new(set, Step.new(unit_id:, label:), one) }
        end

        # @param first [CableEnds::End] from which on to go
        def self.along(set, first) = new(set, Step.new(unit_id: first.unit_id, label: first.label), first)

        def initialize(set, start, first)
          @set = set
          @steps = [start]
          @passed = Set.new
          follow(first)
        end

        # @return [Array<Step>] from the port set out from
        attr_reader :steps

        # @return [Symbol] why it ends there: +:reached+ a unit, or stopped at a port that is +:free+, at a panel whose port is
        #   +:undecided+, at one whose other face is +:bare+, where it is not clear which cable goes +:on+, or in a +:circle+
        attr_reader :ended

        # @return [Array<String>] ids of all cables passed, and of all units
        def cables = steps.filter_map { |step| step.cable&.id }
        def units = steps.map(&:unit_id).uniq

        # @return [String] why it ends, in words
        def why
          unit = @set.element(steps.last.unit_id).name
          {
            reached: "#{unit} is reached",
            free: "nothing is plugged in there",
            undecided: "the port at #{unit} is not decided",
            bare: "nothing is plugged in at the other face of #{unit} #{steps.last.label}",
            on: "it is not clear which cable goes on from #{unit}",
            circle: "it comes back to where it has been"
          }.fetch(ended)
        end

        private

        def follow(one)
          until @ended
            break @ended = :free unless one

            @passed << one.cable.id
            far = one.others.first
            @steps << Step.new(unit_id: far.target_id, label: far.facts["port"], cable: one.cable)
            one = onwards(@set.element(far.target_id), far)
          end
        end

        # @return [CableEnds::End, nil] nil when it ends here
        def onwards(unit, far)
          return stop(:reached) unless unit.kind == "device" && (panel?(unit) || PASSING.include?(unit["role"]))
          return stop(:undecided) if panel?(unit) && far.facts["port"].nil?

          rest = CableEnds.of(@set, unit.id)
          rest = rest.select { |one| one.label == far.facts["port"] } if panel?(unit)
          others = rest.reject { |one| one.cable.id == @steps.last.cable.id && one.role == far.role }
          return stop(panel?(unit) ? :bare : :reached) if others.empty?
          return stop(:on) if others.length > 1
          return stop(:circle) if @passed.include?(others.first.cable.id)

          others.first
        end

        def stop(reason) = (@ended = reason).then { nil }
        def panel?(unit) = unit["role"] == "patch panel"
      end
    end
  end
end
