# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # Finds or makes the subnet that a row means: by name, by prefix, or by the address.
      class Subnets
        PREFIX = %r{[\h.:]+/\d+}

        def initialize(context)
          @context = context
        end

        # @param text [String, nil] the column for the subnet
        # @param address [String] the address, perhaps empty
        # @param length [String, nil] of the prefix written behind the address
        # @return [Model::Element]
        # @raise [Mistake]
        def find(text, address, length)
          prefix = text && text[PREFIX] && Addresses.prefix(text[PREFIX])
          name = text.to_s.sub(PREFIX, "").gsub(/[()]/, " ").strip
          subnet = named(name, prefix) || by_prefix(prefix || around(address, length)) || covering(address)
          subnet.tap { |found| @context.show(found) }
        end

        private

        def draft = @context.draft
        def all = draft.of_kind("subnet")

        def named(name, prefix)
          return if name.empty?

          known = draft.named(Model::Names.clean(name), "subnet").first
          return @context.add("subnet", name:, facts: { "prefix" => prefix&.to_s }) unless known

          agree(known, prefix)
        end

        def agree(known, prefix)
          if prefix && known["prefix"] && known["prefix"] != prefix.to_s
            raise Mistake, "#{known.name} is #{known["prefix"]} already, not #{prefix}"
          end

          @context.set(known.id, "prefix", prefix.to_s) if prefix && known["prefix"].nil?
          draft.element(known.id)
        end

        def by_prefix(prefix)
          return unless prefix

          all.find { |subnet| subnet["prefix"] == prefix.to_s } ||
            @context.add("subnet", name: prefix.to_s, facts: { "prefix" => prefix.to_s })
        end

        # The prefix that an address with a length stands in: 10.20.4.20/24 in 10.20.4.0/24.
        def around(address, length)
          return unless length

          bits = Integer(length, 10, exception: false)
          parsed = Addresses.parse(address)
          total = parsed[:version] == 4 ? 32 : 128
          raise Mistake, "“#{address}/#{length}” has no length of a prefix" unless bits&.between?(0, total)

          Addresses::Prefix.new(version: parsed[:version], first: parsed[:number] >> (total - bits) << (total - bits), length: bits)
        end

        def covering(text)
          address = Addresses.address(text)
          found =
            all
              .select { |subnet| subnet["prefix"] && Addresses.prefix(subnet["prefix"]).cover?(address) }
              .max_by { |subnet| Addresses.prefix(subnet["prefix"]).length }
          found or raise Mistake, "no subnet is named, and none that is known covers #{address}"
        end
      end
    end
  end
end
