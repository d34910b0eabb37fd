# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Like ports of a unit: their names, and what they take. +use+ is +ports+, or +inlets+ and +outlets+ of power; +slot+ is where
      # their card sits.
      PortGroup =
        Value.of(:use, :names, :slot, :medium, :speed, :connector, :pluggable) do
          self::USES = %w[ports inlets outlets].freeze

          # @param text [String] such as +1-24 copper 1G+, as +to_s+ writes it
          # @return [PortGroup]
          # @raise [Mistake] saying what is not understood
          def self.read(text)
            words = text.split
            use = self::USES.include?(words.first) ? words.shift : "ports"
            raise Mistake, "say which ports, such as 1-24" if words.empty?

            facts = { use:, names: PortNames.read(words.shift) }
            facts.merge!(taken(words, facts)) until words.empty?
            new(**facts)
          end

          def self.taken(words, facts)
            word = words.shift
            case word
            when "slot" then { slot: whole(words.shift, "slot") }
            when "connector" then { connector: words.shift || raise(Mistake, "say which connector") }
            when "pluggable" then { pluggable: true }
            when *Medium::ALL then { medium: word }
            when Speed::PATTERN then { speed: word }
            else raise Mistake, "“#{Model::Names.short(word)}” says nothing about ports #{facts[:names]}: #{Medium::ALL.join(", ")}, " \
                                "a speed such as 1G or 1G/10G, slot 2, connector NAME, or pluggable"
            end
          end

          def self.whole(word, what)
            number = Integer(word.to_s, 10, exception: false)
            number&.between?(0, 99) ? number : raise(Mistake, "a #{what} is a number from 0 to 99, not “#{Model::Names.short(word.to_s)}”")
          end

          private_class_method :taken, :whole

          def power? = use != "ports"
          def count = names.count

          # @return [String, nil] over what its cables go, where that is decided
          def takes = power? ? "power" : medium

          # @param other [PortGroup]
          # @return [Array(String, String), nil] the first and last port that are in both
          def overlap(other) = slot == other.slot ? names.overlap(other.names) : nil

          # @return [Array<String>] the words behind its names
          def words = [*(["slot", slot.to_s] if slot), *taking]

          # @return [Array<String>] what its ports take
          def taking
            [
              medium,
              speed,
              *(["connector", connector] if connector),
              ("pluggable" if pluggable)
            ].compact
          end

          def to_s = [*(use if power?), names.to_s, *words].join(" ")
        end
    end
  end
end
