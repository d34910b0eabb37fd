# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # How fast a port or a cable is: +1G+, or several that are possible, as in +1G/10G+.
      module Speed
        ONE = /\d+(?:\.\d+)?[KMGT]/
        PATTERN = %r{\A#{ONE}(?:/#{ONE})*\z}
        UNITS = { "K" => 1e3, "M" => 1e6, "G" => 1e9, "T" => 1e12 }.freeze
        # From here on a line is drawn heavier.
        FAST = 10e9

        module_function

        # @param text [String, nil]
        # @return [Array<String>] each that is possible; none where it is not decided or no speed
        def possible(text) = text.to_s.match?(PATTERN) ? text.split("/") : []

        # @return [Float, nil] bits a second, of the fastest that is possible
        def bits(text) = possible(text).map { |one| one.to_f * UNITS.fetch(one[-1]) }.max

        # @param texts [Array<String, nil>] of what is to go together
        # @return [Boolean] whether there is a speed that all can have, as far as they are decided
        def fit?(*texts) = texts.map { |text| possible(text) }.reject(&:empty?).reduce(:&)&.empty? != true

        # @return [String, nil] the fastest that all can have
        def common(*texts) = texts.map { |text| possible(text) }.reject(&:empty?).reduce(:&)&.max_by { |one| bits(one) }
      end
    end
  end
end
