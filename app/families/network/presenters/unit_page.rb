# frozen_string_literal: true

module Web
  module Families
    module Network
      module Presenters
        # The ports of one unit in order, used and free.
        class UnitPage
          MOST = 3000
          # +where+ is told of each cable at the port: the far unit's id where it has ports, and words; +over+ what the cables are.
          Line = Basalt::Value.of(:label, :takes, :where, :over, :free)

          def initialize(set, unit)
            @set = set
            @unit = unit
            @list = Basalt::Network::Cabling::PortList.new(set, unit)
            @schedule = Basalt::Network::Cabling::Schedule.new(set)
          end

          attr_reader :unit

          def name = unit.name
          def about = [unit.noun, *("#{unit["members"]} members" if @list.ports.stacked?)].join(", ")
          def known? = @list.ports.known?
          def count = @list.ports.count
          def free = Basalt::Network::Cabling::FreePorts.new(@set, unit).count

          # @return [Array<Line>]
          def lines = @lines ||= @list.lines.first(MOST).map { |line| told(line) }
          def more = [@list.lines.length - MOST, 0].max

          private

          def told(line)
            Line.new(
              label: label(line),
              takes: line.group ? line.group.words.join(" ") : "not among its ports",
              where: line.ends.map { |one| where(one) },
              over: line.ends.map { |one| over(one.cable) }.join("; "),
              free: line.ends.empty? ? Basalt::English.count(line.count, "free port") : nil
            )
          end

          def over(cable) = [cable["medium"], cable["speed"], @schedule.state(cable)].compact.join(", ")

          def label(line)
            return "not decided" unless line.first

            line.first == line.last ? line.first : "#{line.first} to #{line.last}"
          end

          def where(one)
            far = one.others.first
            other = @set.element(far.target_id)
            [other.kind == "device" ? other.id : nil, [other.name, far.facts["port"]].compact.join(" ")]
          end
        end
      end
    end
  end
end
