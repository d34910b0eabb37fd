# frozen_string_literal: true

module Basalt
  module Change
    # New ids: random UUIDs (RFC 9562, section 5.4). What they are made of is fetched for several at once.
    class Identifiers
      AT_ONCE = 32
      BYTES = 16
      private_constant :AT_ONCE, :BYTES

      def initialize
        @left = []
      end

      # @return [String]
      def call
        @left = SecureRandom.bytes(AT_ONCE * BYTES).unpack("H32" * AT_ONCE) if @left.empty?
        hex = @left.pop
        "#{hex[0, 8]}-#{hex[8, 4]}-4#{hex[13, 3]}-#{VARIANTS[hex[16].hex & 3]}#{hex[17, 3]}-#{hex[20, 12]}"
      end

      VARIANTS = "89ab"
      private_constant :VARIANTS
    end
  end
end
