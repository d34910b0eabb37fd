# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # The blocks of addresses that rules and routes tell apart. Two addresses that are in the same of these are alike to all of them.
      class Blocks
        WHOLE = { 4 => Addresses.prefix("0.0.0.0/0"), 6 => Addresses.prefix("::/0") }.freeze

        # @param prefixes [Array<Addresses::Prefix>]
        def initialize(prefixes)
          @all = (prefixes + WHOLE.values).uniq
          @by_length = @all.group_by { |one| [one.version, one.length] }.map do |(version, length), list|
            [version, length, list.to_h { |one| [one.first, one] }]
          end
          @around = {}
        end

        # @return [Array<Addresses::Prefix>]
        attr_reader :all

        # @param address [Addresses::Address, Addresses::Prefix]
        # @return [Array<Addresses::Prefix>] all that the whole of it is in, always the same object for the same blocks
        def around(address)
          first, least = address.is_a?(Addresses::Prefix) ? [address.first, address.length] : [address.number, 128]
          found = @by_length.filter_map do |version, length, list|
            next unless version == address.version && length <= least

            open = (version == 4 ? 32 : 128) - length
            list[first >> open << open]
          end
          @around[found] ||= found
        end

        # @param taken [Array<Addresses::Prefix>] blocks of which nothing is wanted
        # @return [Array<Addresses::Address>] one address for each part of the rest that the blocks tell apart
        def samples(taken)
          all.filter_map { |block| rest(block, (all.select { |one| one != block && block.contain?(one) } + taken)) }
        end

        private

        # The lowest address of a block that is in none of these.
        def rest(block, inner)
          number = block.first
          within = inner.select { |one| one.overlap?(block) }.sort_by(&:first)
          within.each { |one| number = [number, one.last + 1].max if one.first <= number }
          Addresses::Address.new(version: block.version, number:) if number <= block.last
        end
      end
    end
  end
end
