# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # The names of like ports, as a pattern says them: +1-24+, +up1-up4+, +a-b+, or one name such as +wan1+. They are counted and
      # found without being made.
      PortNames =
        Value.of(:prefix, :from, :to, :width, :letters) do
          self::MOST = 10_000
          self::NUMBERS = /\A(?<prefix>\S*?)(?<from>\d+)-\k<prefix>?(?<to>\d+)\z/
          self::LETTERS = /\A(?<from>[a-z])-(?<to>[a-z])\z/

          # @param text [String]
          # @return [PortNames]
          # @raise [Mistake] for a pattern that counts backwards, or makes more ports than a unit can have
          def self.read(text)
            if (found = text.match(self::NUMBERS))
              numbered(text, found)
            elsif (found = text.match(self::LETTERS))
              checked(text, new(prefix: "", from: found[:from].ord, to: found[:to].ord, letters: true))
            else
              new(prefix: text, width: 0)
            end
          end

          def self.numbered(text, found)
            raise Mistake, "“#{Model::Names.short(text)}” counts too far" if [found[:from], found[:to]].any? { |digits| digits.length > 9 }

            from, to = found.values_at(:from, :to).map { |digits| Integer(digits, 10) }
            checked(text, new(prefix: found[:prefix], from:, to:, width: found[:from].start_with?("0") ? found[:from].length : 0))
          end

          def self.checked(text, names)
            raise Mistake, "“#{text}” counts backwards: say the lower one first" if names.to < names.from
            return names if names.count <= self::MOST

            raise Mistake, "“#{text}” would be #{English.count(names.count, "port")}; a pattern makes at most #{self::MOST}"
          end

          private_class_method :numbered, :checked

          def count = from ? to - from + 1 : 1

          # @param index [Integer] from 0
          # @return [String]
          def at(index) = from ? "#{prefix}#{written(from + index)}" : prefix

          # @return [Enumerator<String>] in order
          def each
            return enum_for(:each) unless block_given?

            count.times { |index| yield at(index) }
          end

          # @return [Integer, nil] from 0
          def index(name)
            return name == prefix ? 0 : nil unless from
            return unless name.start_with?(prefix)

            number = number(name.delete_prefix(prefix))
            number - from if number&.between?(from, to) && at(number - from) == name
          end

          def include?(name) = !index(name).nil?

          # @param other [PortNames]
          # @return [Array(String, String), nil] the first and last name that both have
          def overlap(other)
            return (include?(other.prefix) ? [other.prefix] * 2 : nil) unless other.from
            return other.overlap(self) unless from

            here = [from, other.from].max
            last = [to, other.to].min
            return if here > last || !other.include?(at(here - from))

            [at(here - from), at(last - from)]
          end

          # @param other [PortNames]
          # @return [PortNames, nil] both as one pattern, where the other goes on where this one ends
          def join(other)
            mine, theirs = [self, other].map(&:counted)
            return unless mine && theirs && mine.prefix == theirs.prefix && theirs.from == mine.to + 1

            both = mine.with(to: theirs.to)
            both if both.count <= self.class::MOST && both.at(mine.count) == theirs.at(0)
          end

          # @return [PortNames, nil] one name as a pattern of one; nil where it does not end in a number
          def counted
            return letters ? nil : self if from

            found = prefix.match(/\A(?<before>.*?)(?<digits>\d{1,9})\z/) or return
            number = Integer(found[:digits], 10)
            with(prefix: found[:before], from: number, to: number, width: found[:digits].start_with?("0") ? found[:digits].length : 0)
          end

          def to_s = from ? "#{at(0)}-#{at(count - 1)}" : prefix

          private

          def written(number) = letters ? number.chr : number.to_s.rjust(width, "0")
          def number(text) = letters ? (text.ord if text.length == 1) : Integer(text, 10, exception: false)
        end
    end
  end
end
