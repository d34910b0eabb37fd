# frozen_string_literal: true

module Basalt
  module Addresses
    # The part of an address that a subnet's prefix leaves open: +.20+ in a /24, +.4.20+ in a
    # /16, +::20+ in version 6. An octet that the prefix ends in counts as open.
    module Shorthand
      module_function

      # @return [String] the short form; the whole address where it is not in the subnet
      def write(prefix, address)
        return address.to_s unless prefix.cover?(address)
        return low_bits_of(prefix, address) if prefix.version == 6

        ".#{octets_of(address.number, open_octets(prefix))}"
      end

      # @param text [String] a short form or a whole address
      # @return [Address]
      # @raise [BadAddress] when the short form does not fit the prefix
      def read(prefix, text)
        return octets(prefix, text) if text.start_with?(".")
        return low_bits(prefix, text) if text.start_with?("::") && prefix.version == 6

        Addresses.address(text)
      end

      # @return [String] the last so many octets of a number
      def octets_of(number, count)
        return (number & 255).to_s if count == 1

        (count - 1).downto(0).map { |place| (number >> (8 * place)) & 255 }.join(".")
      end

      # Only what begins with +::+ is seen to be short.
      def low_bits_of(prefix, address)
        short = Addresses.write(6, address.number - prefix.first)
        short.start_with?("::") ? short : address.to_s
      end

      def open_octets(prefix) = [4 - (prefix.length / 8), 1].max

      def octets(prefix, text)
        raise BadAddress, "#{prefix} is of version 6: a short address there begins with ::" if prefix.version == 6

        given = text.delete_prefix(".").split(".", -1)
        wanted = open_octets(prefix)
        unless given.length == wanted
          raise BadAddress, "#{text} does not fit #{prefix}, which leaves #{wanted} #{wanted == 1 ? 'octet' : 'octets'} open: " \
                            "say #{(['.20'] * wanted).join} or the whole address"
        end

        fixed = Addresses.write(4, prefix.first).split(".").first(4 - wanted)
        Addresses.address((fixed + given).join("."))
      end

      def low_bits(prefix, text)
        number = Addresses.address(text).number
        number < (1 << prefix.open_bits) ? Address.new(version: 6, number: prefix.first + number) : Addresses.address(text)
      end
    end
  end
end
