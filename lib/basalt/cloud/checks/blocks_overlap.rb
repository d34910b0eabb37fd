# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # Blocks that are in each other's way: of two subnets, of two networks that are joined, or of a subnet and its network.
      class BlocksOverlap < CloudCheck
        rule "blocks-overlap", :error, reads: READS

        def findings = subnets + joined + outside

        private

        def blocks(one) = Prefixes.read(one["prefixes"])
        def overlap(one, other) = blocks(one).product(blocks(other)).find { |a, b| a.overlap?(b) }

        def inner
          @inner ||= boundaries.select { |one| one["level"] == "subnet" && one["prefixes"] }.group_by { |one| scape.network_of(one.id) }
        end

        # Neighbours in the order of their addresses: who overlaps anybody overlaps one of those before it that reaches furthest.
        def subnets
          inner.except(nil).values.flat_map do |list|
            all = list.flat_map { |one| blocks(one).map { |block| [block, one] } }
            sorted = all.sort_by { |block, _| [block.version, block.first, -block.length] }
            furthest = nil
            sorted.filter_map do |block, one|
              before = furthest
              furthest = [block, one] if furthest.nil? || block.version != furthest[0].version || block.last > furthest[0].last
              told(before, [block, one]) if before && before[0].overlap?(block) && before[1].id != one.id
            end
          end
        end

        def joined
          scape.landscape.peerings.each_value.flat_map do |peering|
            peering.network_ids.map { |id| set.element(id) }.combination(2).filter_map do |one, other|
              a, b = overlap(one, other)
              told([a, one], [b, other], "The two are joined, and an address of one is found in the other.") if a
            end
          end
        end

        def outside
          boundaries.select { |one| one["level"] == "subnet" }.filter_map do |one|
            network = scape.network_of(one.id)&.then { |id| set.element(id) } or next
            block = blocks(one).find { |own| blocks(network).any? && blocks(network).none? { |whole| whole.contain?(own) } }
            block && finding([one.id, network.id], "#{one.name} #{block} is not within #{network.name} #{network["prefixes"]}",
                             "What is sent there never finds the network.")
          end
        end

        def told((block, one), (other_block, other), why = "An address of one is found in the other.")
          finding([one.id, other.id], "#{one.name} #{block} and #{other.name} #{other_block} overlap", why)
        end
      end
    end
  end
end
