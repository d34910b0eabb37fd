# frozen_string_literal: true

require "ipaddr"

module Basalt
  # Internet addresses and prefixes, of both versions.
  module Addresses
    # A text that is no address or prefix.
    class BadAddress < Model::BadFact; end

    # How many parsed texts are remembered; a sheet asks for the same ones again and again.
    REMEMBERED = 50_000

    class << self
      # @param text [String] +10.20.4.20+ or +fd00::20+
      # @return [Address]
      # @raise [BadAddress]
      def address(text)
        remember(:address, text) { Address.new(**parse(text)) }
      end

      # @param text [String] +10.20.4.0/24+ or +fd00:4::/64+
      # @return [Prefix]
      # @raise [BadAddress] also when bits behind the prefix are set
      def prefix(text)
        remember(:prefix, text) { Prefix.read(text) }
      end

      # @return [Hash] +version+ (4 or 6) and +number+
      def parse(text)
        raise BadAddress, "“#{Model::Names.short(text)}” is not an address" if text.match?(%r{[/%]})

        address = IPAddr.new(text)
        { version: address.ipv4? ? 4 : 6, number: address.to_i }
      rescue IPAddr::Error
        raise BadAddress, "“#{Model::Names.short(text)}” is not an address"
      end

      # @return [String] the number written as an address of that version
      def write(version, number)
        IPAddr.new(number, version == 4 ? Socket::AF_INET : Socket::AF_INET6).to_s
      end

      private

      def remember(type, text)
        @memory ||= {}
        @memory.clear if @memory.size > REMEMBERED
        @memory[[type, text]] ||= yield
      end
    end
  end
end
