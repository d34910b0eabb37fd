# frozen_string_literal: true

module Basalt
  module Cloud
    # A boundary once more with all that is in it: names go on, addresses come from the next block that is free, what governs the
    # subnets governs the new ones too, and what is in groups is in the same. Lines to what is outside are repeated by choice.
    class Repeating
      GAP = 40
      # Blocks that are looked at for one that is free.
      MOST = 4096
      # Relations in which the new ones stand as their patterns do.
      KEPT = ["membership", Kinds::GOVERNANCE].freeze

      # @param boundary_id [String]
      # @param sheet_id [String] on which the new ones stand beside their patterns
      # @param outside [Boolean] whether lines to what is outside are repeated
      def initialize(boundary_id, sheet_id, outside: false)
        @boundary_id = boundary_id
        @sheet_id = sheet_id
        @outside = outside
      end

      # @return [Hash{String => String}] the new element of each pattern, once applied
      attr_reader :made

      def apply(draft)
        @draft = draft
        pattern = draft.element(@boundary_id) or raise Refusals::Gone, "what was to be repeated"
        raise Mistake, "#{pattern.name} is no boundary: only a boundary is repeated with what is in it" unless pattern.kind == Kinds::BOUNDARY

        ids = within(pattern.id)
        copy = Change::Duplicate.new(ids:, from: @sheet_id, to: @sheet_id, dx: (draft.placement(@sheet_id, pattern.id)&.w).to_i + GAP)
        draft.apply(copy)
        @made = copy.made
        (KEPT + (@outside ? [Kinds::CONNECTION] : [])).each { |kind| relate(ids, kind) }
        address(pattern)
        draft
      end

      private

      def within(id) = [id, *@draft.contents_within(id).map(&:id)]

      # Relations of which one end is inside and the other is not.
      def relate(ids, kind)
        ids.flat_map { |id| @draft.relations_of(id, kind) }.uniq(&:id).each do |relation|
          next if relation.targets.all? { |id| @made.key?(id) }

          @draft.put(:elements, relation.with(id: @draft.new_id, ordinal: nil, external_id: nil, ends: relation.ends.map do |one|
            one.with(target_id: @made.fetch(one.target_id, one.target_id))
          end))
        end
      end

      # What has blocks of its own takes the next free ones; what is in these moves along.
      def address(pattern)
        blocks = Prefixes.read(pattern["prefixes"])
        return @draft.contents_of(pattern.id).select { |one| one.kind == Kinds::BOUNDARY }.each { |one| address(one) } if blocks.empty?

        fresh = blocks.map { |block| free(block, pattern) }
        set(pattern, "prefixes", fresh.all? ? fresh.join(Prefixes::BETWEEN) : nil)
        shift(pattern, blocks.zip(fresh))
      end

      # @return [Addresses::Prefix, nil] the next block of that length within what is around, or behind it where nothing is
      def free(block, pattern)
        around = around(pattern)
        taken = taken(around, pattern)
        within = around ? Prefixes.read(around["prefixes"]) : [Reach::Blocks::WHOLE.fetch(block.version)]
        following(block).find { |found| within.any? { |whole| whole.contain?(found) } && taken.none? { |other| other.overlap?(found) } }
      end

      # @return [Enumerator::Lazy<Addresses::Prefix>] blocks of the same length behind it
      def following(block)
        step = 1 << block.open_bits
        firsts = (1..MOST).lazy.map { |count| block.first + (count * step) }
        firsts.take_while { |first| first + step <= 1 << block.bits }.map { |first| block.with(first:) }
      end

      def around(pattern)
        one = pattern.container_id && @draft.element(pattern.container_id)
        one = one.container_id && @draft.element(one.container_id) while one && one["prefixes"].nil?
        one
      end

      # Blocks beside it: of those that stand in the same, or of networks, where it is in none.
      def taken(around, pattern)
        beside = @draft.of_kind(Kinds::BOUNDARY).select do |one|
          one.id != pattern.id && one["prefixes"] && (around ? around(one)&.id == around.id : one["level"] == pattern["level"])
        end
        beside.flat_map { |one| Prefixes.read(one["prefixes"]) } + Prefixes.read(pattern["prefixes"])
      end

      # @param pairs [Array<Array(Addresses::Prefix, Addresses::Prefix)>] blocks with those that took their place
      def shift(pattern, pairs)
        @draft.contents_of(pattern.id).each do |one|
          inner = Prefixes.read(one["prefixes"]).map { |block| moved(block, pairs) }
          set(one, "prefixes", inner.all? ? inner.join(Prefixes::BETWEEN) : nil) if one["prefixes"]
          set(one, "address", moved(Addresses.address(one["address"]), pairs)&.to_s) if one["address"]
          shift(one, pairs)
        end
      end

      def moved(one, pairs)
        old, fresh = pairs.find { |block, _| one.is_a?(Addresses::Prefix) ? block.contain?(one) : block.cover?(one) }
        return unless fresh

        by = fresh.first - old.first
        one.is_a?(Addresses::Prefix) ? one.with(first: one.first + by) : one.with(number: one.number + by)
      end

      def set(pattern, fact, value) = @draft.apply(Change::Set.new(id: @made.fetch(pattern.id), fact:, value: value&.to_s))
    end
  end
end
