# frozen_string_literal: true

require "ipaddr"

module Basalt
  # Internet addresses and prefixes, of both versions.
  module Addresses
    # A text that is no address or prefix.
    class BadAddress < Model::BadFact; end

    # How many parsed texts are remembered; a sheet asks for the same ones again and again.
    REMEMBERED = 50_000
    # Four bytes, none with a zero before it; of very many addresses these are quicker read and written without IPAddr.
    V4 = /\A#{Array.new(4, "(25[0-5]|2[0-4]\\d|1\\d\\d|[1-9]?\\d)").join("\\.")}\z/
    private_constant :V4

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

        plain = V4.match(text)
        return { version: 4, number: plain.captures.reduce(0) { |number, byte| (number << 8) | byte.to_i } } if plain

        address = IPAddr.new(text)
        { version: address.ipv4? ? 4 : 6, number: address.to_i }
      rescue IPAddr::Error
        raise BadAddress, "“#{Model::Names.short(text)}” is not an address"
      end

      # @return [String] the number written as an address of that version; version 6 as of
      #   RFC 5952, 4.2: the longest run of two or more zero fields is left out
      def write(version, number)
        return "#{number >> 24}.#{(number >> 16) & 255}.#{(number >> 8) & 255}.#{number & 255}" if version == 4

        fields = 7.downto(0).map { |place| ((number >> (16 * place)) & 0xffff).to_s(16) }.join(":")
        longest = fields.scan(/(?<![^:])0(?::0)+(?![^:])/).max_by(&:length)
        return fields unless longest

        fields.sub(/(?<![^:])#{longest}(?![^:])/, "::").sub(/:{3,}/, "::").then { |text| text == "::::" ? "::" : text.gsub(/:{3,}/, "::") }
      end

      # @param prefix [String]
      # @param address [String]
      # @return [String] (see Shorthand.write)
      # @raise [BadAddress]
      def shorthand(prefix, address)
        remember(:shorthand, "#{prefix} #{address}") { Shorthand.write(self.prefix(prefix), self.address(address)).freeze }
      end

      private

      def remember(type, text)
        memory = (@memory ||= { address: {}, prefix: {}, shorthand: {} }).fetch(type)
        memory.clear if memory.size > REMEMBERED
        memory[text] ||= yield
      end
    end
  end
end
