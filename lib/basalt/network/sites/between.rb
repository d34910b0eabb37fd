# frozen_string_literal: true

module Basalt
  module Network
    module Sites
      # The links between two sites, told together: how many, and what they carry in all.
      class Between
        UNITS = [["T", 1e12], ["G", 1e9], ["M", 1e6], ["K", 1e3]].freeze

        # @param links [Array<Model::Element>]
        def initialize(links)
          @links = links
        end

        def count = @links.length

        # @return [Float] bits a second, of those of which it is said
        def bits = @links.filter_map { |link| Between.speed(link) }.sum

        # @return [Integer] links of which no speed is said
        def unsaid = @links.count { |link| Between.speed(link).nil? }

        # @return [String] such as +2 circuits, 250M+
        def words
          return single if count == 1

          sum = bits.zero? ? nil : [Between.short(bits), *("and more" if unsaid.positive?)].join(" ")
          [English.count(count, noun), sum].compact.join(", ")
        end

        # @return [Float, nil] bits a second
        def self.speed(link) = Cabling::Speed.bits(link["circuit"]) || Cabling::Speed.bits(link["speed"])

        # @param bits [Numeric] a second
        # @return [String] with the largest unit that leaves at least one, such as +1.2G+
        def self.short(bits)
          letter, unit = UNITS.find { |_, size| bits >= size } || UNITS.last
          number = (bits / unit).round(2)
          "#{number == number.to_i ? number.to_i : number}#{letter}"
        end

        private

        def noun = @links.all? { |link| link["circuit"] } ? "circuit" : "link"
        def single = [@links.first["circuit"] || @links.first["speed"], @links.first["label"]].compact.join(" ")
      end
    end
  end
end
