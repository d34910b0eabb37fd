# frozen_string_literal: true

module Basalt
  module Network
    # Known devices, separated by commas; +acc-01..acc-30+ are all of them from the one to the other.
    class UnitsSlot < Statements::ThingsSlot
      RANGE = /\A(?<prefix>\S*?)(?<from>\d+)\.\.\k<prefix>(?<to>\d+)\z/
      MOST = 1000

      private

      def gather(matcher, node, rest, at, taken, &found)
        range = matcher.token(at)&.then { |token| token.word? && token.text.match(RANGE) } or return super
        units = units(matcher, at, range) or return
        so_far = taken + units
        after = at + 1
        if matcher.token(after)&.mark? && matcher.token(after).text == ","
          gather(matcher, node, rest, after + 1, so_far, &found)
        end
        yield so_far, after
      end

      def units(matcher, at, range)
        from, to = range.values_at(:from, :to).map { |digits| digits.to_i(10) }
        return matcher.refuse(at, "“#{range}” counts backwards: say the lower one first") if to < from
        return matcher.refuse(at, "“#{range}” is more than #{MOST} units") if to - from >= MOST

        names = (from..to).map { |number| "#{range[:prefix]}#{number.to_s.rjust(range[:from].length, "0")}" }
        found = names.map { |name| matcher.context.find(name, ["device"]).first }
        missing = names.zip(found).reject(&:last).map(&:first)
        return found if missing.empty?

        named = missing.first(4) + [*("#{missing.length - 4} more" if missing.length > 4)]
        matcher.refuse(at, "there is no device called #{English.list(named)}")
      end
    end
  end
end
