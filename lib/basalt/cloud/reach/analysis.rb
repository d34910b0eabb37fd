# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # Which interface can reach which, by which protocols and ports. Interfaces that no rule, list or route tells apart are one party, and
      # parties are looked at, not interfaces.
      class Analysis
        # What one party may say to another: +apart+ between subnets, +together+ within one.
        Passage = Value.of(:from, :to, :apart, :together)

        OUTSIDE = Place.new
        # Nobody on the internet has these (RFC 1918; RFC 4193; RFC 3927; RFC 4291, 2.5.6).
        PRIVATE = %w[10.0.0.0/8 172.16.0.0/12 192.168.0.0/16 169.254.0.0/16 fc00::/7 fe80::/10].map { |text| Addresses.prefix(text) }.freeze
        NO_GROUPS = [].freeze

        # @param landscape [Landscape]
        # @param blocks [Blocks] that are told apart; those of which its rules and routes speak, where none are given
        def initialize(landscape, blocks: nil)
          @landscape = landscape
          @blocks = blocks || Blocks.new(prefixes)
          @filters = Filters.new(landscape)
          @routing = Routing.new(landscape)
          @paths = Known.new
        end

        attr_reader :landscape, :filters, :routing, :blocks

        # @param interface [Interface]
        # @return [Party]
        def party(interface) = parties.fetch(interface.id)

        # @return [Hash{Party => Array<Interface>}]
        def members
          @members ||=
            landscape.interfaces.values.each_with_object({}.compare_by_identity) { |one, found| (found[party(one)] ||= []) << one }
        end

        # @return [Hash{Party => Addresses::Address}] one for each part of the internet that rules tell apart, with an address of it
        def outside
          @outside ||=
            @blocks.samples(landscape.networks.values.flat_map(&:prefixes) + PRIVATE).to_h do |address|
              [Party.new(around: @blocks.around(address), place: OUTSIDE, group_ids: NO_GROUPS), address]
            end.compare_by_identity
        end

        # @param from [Interface]
        # @param to [Interface]
        # @return [Traffic]
        def reach(from, to)
          passage = between(party(from), party(to))
          from.subnet_id == to.subnet_id ? passage.together : passage.apart
        end

        # @param from [Party]
        # @param to [Party]
        # @return [Passage]
        def between(from, to)
          passage(from, to, from.version == to.version ? ruled(from, to) : Traffic::NONE)
        end

        # @return [Traffic] what the rules of both sides let pass
        def ruled(from, to)
          heard = filters.grouped(to.group_ids, "in", from)
          heard.empty? ? heard : heard & filters.grouped(from.group_ids, "out", to)
        end

        # @return [Traffic] what routes and lists let pass between two subnets
        def path(from, to) = @paths.fetch(from.place, from.around, to.place, to.around) { Path.new(self, from, to).traffic }

        # @yieldparam passage [Passage] of each two parties of which one may say something to the other
        def each
          return enum_for(:each) unless block_given?

          members.each_key do |to|
            senders(to).each do |from|
              ruled = from.version == to.version ? ruled(from, to) : Traffic::NONE
              next if ruled.empty?

              passage = passage(from, to, ruled)
              yield passage if passage.apart.any? || passage.together.any?
            end
          end
        end

        private

        def passage(from, to, ruled)
          apart = ruled.empty? ? ruled : ruled & path(from, to)
          Passage.restore([from, to, apart, from.outside? || to.outside? ? Traffic::NONE : ruled])
        end

        # Those that a rule of the receiver speaks of; where it has no rules, all.
        def senders(to)
          return everybody if to.group_ids.empty?

          (@senders ||= Known.new).fetch(to.group_ids) do
            peers = filters.rules(to.group_ids).select { |rule| rule.direction == "in" }.map(&:peer).uniq
            peers.include?(nil) ? everybody : peers.flat_map { |peer| spoken_of(peer) }.uniq(&:object_id)
          end
        end

        # Whom a rule speaks of that names a group or a block.
        def spoken_of(peer) = (@spoken_of ||= everybody.each_with_object({}) { |party, found| listed(party, found) }).fetch(peer, [])
        def listed(party, found) = (party.group_ids + party.around).each { |peer| (found[peer] ||= []) << party }
        def everybody = @everybody ||= members.keys + outside.keys

        def prefixes
          rules = (landscape.groups.values + landscape.lists.values).flat_map(&:rules)
          rules.map(&:peer).grep(Addresses::Prefix) + landscape.networks.values.flat_map(&:prefixes) +
            landscape.tables.values.flat_map { |table| table.routes.map(&:first) }
        end

        def parties
          @parties ||= begin
            same = Hash.new { |table, one| table[one] = one }
            landscape.interfaces.transform_values do |one|
              same[Party.new(around: @blocks.around(one.address), place: same[place(one)], group_ids: same[one.group_ids.sort])]
            end
          end
        end

        def place(interface)
          subnet = landscape.subnets.fetch(interface.subnet_id)
          Place.new(network_id: subnet.network_id, list_id: subnet.list_id, table_id: subnet.table_id, open: interface.open,
                    subnet_id: (subnet.id if translating.include?(subnet.id)))
        end

        def translating = @translating ||= landscape.gateways.values.filter_map(&:subnet_id).to_set
      end
    end
  end
end
