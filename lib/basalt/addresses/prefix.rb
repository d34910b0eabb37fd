# frozen_string_literal: true

module Basalt
  module Addresses
    # A range of addresses: its +first+ number and the +length+ of the prefix in bits.
    Prefix = Value.of(:version, :first, :length) do
      # (see Addresses.prefix)
      def self.read(text)
        head, bits, *more = text.split("/", -1)
        length = Integer(bits.to_s, 10, exception: false)
        raise BadAddress, "“#{Model::Names.short(text)}” is not a prefix such as 10.20.4.0/24" if length.nil? || more.any?

        parsed = Addresses.parse(head)
        refuse_length(parsed, length, text)
        whole = new(version: parsed[:version], first: parsed[:number] >> (bits_of(parsed) - length) << (bits_of(parsed) - length), length:)
        return whole if whole.first == parsed[:number]

        raise BadAddress, "#{text} has bits set behind the prefix; the subnet is #{whole}"
      end

      def self.bits_of(parsed) = parsed[:version] == 4 ? 32 : 128

      def self.refuse_length(parsed, length, text)
        raise BadAddress, "the prefix of #{text} is longer than #{bits_of(parsed)} bits" unless length.between?(0, bits_of(parsed))
      end

      # Found in tables very often, by a number that is quicker made than that of all its members.
      def hash = first.hash ^ length

      def bits = version == 4 ? 32 : 128
      def open_bits = bits - length
      def last = first + (1 << open_bits) - 1
      def to_s = "#{Addresses.write(version, first)}/#{length}"

      def cover?(address) = address.version == version && ((address.number ^ first) >> open_bits).zero?
      def contain?(other) = other.version == version && other.first >= first && other.last <= last
      def overlap?(other) = other.version == version && other.first <= last && first <= other.last

      # Two ends and nothing between them: /31 (RFC 3021), /127 (RFC 6164), and the older /30 and /126.
      def point_to_point? = open_bits.between?(1, 2)

      # One address alone, as of a loopback: /32 and /128.
      def single? = open_bits.zero?

      # Numbers that no interface may have. Version 4: network and broadcast (RFC 1122, 3.2.1.3),
      # but not in /31 (RFC 3021) and /32. Version 6 has no broadcast; its lowest is the
      # subnet's routers' anycast address (RFC 4291, 2.6.1), but not in /127 (RFC 6164) and /128.
      def reserved
        return [] if open_bits < 2

        version == 4 ? [first, last] : [first]
      end

      # @return [Integer] how many addresses interfaces can have
      def usable = (1 << open_bits) - reserved.length

      # @param taken [Set<Integer>] numbers in use
      # @param from [Integer, nil] search from here, then from the start
      # @return [Address, nil] the next that is free
      def next_free(taken, from: nil)
        low = reserved.include?(first) ? first + 1 : first
        high = reserved.include?(last) ? last - 1 : last
        start = from&.between?(low, high) ? from : low
        number = (start..high).find { |n| !taken.include?(n) } || (low...start).find { |n| !taken.include?(n) }
        number && Address.new(version:, number:)
      end
    end
  end
end
