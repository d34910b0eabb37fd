# frozen_string_literal: true

require "json"

module Basalt
  module Cloud
    module Inventory
      # An inventory of an account as JSON (see docs/cloud-inventory.schema.json), read into what a model would hold. Nothing is taken
      # of one in which anything is wrong: what, and where, is said by a JSON pointer (RFC 6901).
      class Reader
        LIMIT = 60_000_000
        DEPTH = 8
        MOST = 300_000
        FORMAT = "cloud inventory"
        VERSION = 1
        LISTS = %w[boundaries resources groups lists tables connections].freeze

        # @param bytes [String]
        # @raise [Unreadable]
        def initialize(bytes)
          raise Unreadable.new("", "the inventory is larger than #{LIMIT / 1_000_000} MB") if bytes.bytesize > LIMIT

          @json = parsed(bytes)
          check_head
          @ids = {}
          @wanted = []
          read
        end

        # @return [String] by which the account is known
        def account = @json.fetch("account").fetch("id")

        # @return [String]
        def title = @json.fetch("account").fetch("name", account)

        # @return [Array<Wanted>] holders before what they hold, things before what joins them
        attr_reader :wanted

        private

        def parsed(bytes)
          text = bytes.dup.force_encoding("UTF-8")
          raise Unreadable.new("", "it is not written in UTF-8") unless text.valid_encoding?

          JSON.parse(text.delete_prefix("\uFEFF"), max_nesting: DEPTH)
        rescue JSON::NestingError
          raise Unreadable.new("", "it is nested deeper than #{DEPTH}")
        rescue JSON::ParserError => e
          raise Unreadable.new("", "it is not JSON: #{Model::Names.short(e.message.lines.first.to_s.strip, 120)}")
        end

        def check_head
          refuse("", "it is not an object") unless @json.is_a?(Hash)
          refuse("/format", "it says nothing of being a #{FORMAT}") unless @json["format"] == FORMAT
          refuse("/version", "its version is #{@json["version"].inspect}, and #{VERSION} is read here") unless @json["version"] == VERSION
          refuse("/account", "it does not say of which account it is") unless @json["account"].is_a?(Hash) && text?(@json["account"]["id"])
          unknown = @json.keys - %w[format version account taken] - LISTS
          refuse("/#{unknown.first}", "nothing of that name belongs here") if unknown.any?
        end

        def read
          entries = LISTS.to_h { |list| [list, entries(list)] }
          refuse("", "it holds more than #{MOST} entries") if entries.values.sum(&:length) > MOST
          entries.except("connections").each { |list, found| found.each { |place, entry| register(place, entry, list) } }
          boundaries(entries["boundaries"])
          entries["resources"].each { |place, entry| resource(place, entry) }
          { "lists" => Services::LIST, "tables" => Services::TABLE }.each { |list, service| entries[list].each { |place, entry| paper(place, entry, service) } }
          entries["groups"].each { |place, entry| want(place, entry, Kinds::GROUP, {}) }
          relations(entries)
        end

        def relations(entries)
          entries["resources"].each { |place, entry| memberships(place, entry) }
          (entries["groups"] + entries["lists"]).each { |place, entry| rules(place, entry) }
          entries["tables"].each { |place, entry| routes(place, entry) }
          (entries["lists"] + entries["tables"]).each { |place, entry| governs(place, entry) }
          entries["connections"].each { |place, entry| connection(place, entry) }
        end

        # @return [Array<Array(String, Hash)>] place and entry
        def entries(list)
          found = @json.fetch(list, [])
          refuse("/#{list}", "it is not a list") unless found.is_a?(Array)
          found.each_with_index.map do |entry, index|
            entry.is_a?(Hash) ? ["/#{list}/#{index}", entry] : refuse("/#{list}/#{index}", "it is not an object")
          end
        end

        def register(place, entry, list)
          id = entry["id"]
          refuse("#{place}/id", "it has no id") unless text?(id)
          refuse("#{place}/id", "two are called “#{Model::Names.short(id)}”; the other is #{@ids[id][0]}") if @ids.key?(id)
          @ids[id] = [place, list]
        end

        # From the outermost inwards; a ring is found where none is left that stands in something known.
        def boundaries(entries)
          levels(entries)
          left = entries
          until left.empty?
            now, left = left.partition { |_, entry| entry["in"].nil? || left.none? { |_, other| other["id"] == entry["in"] } }
            refuse("#{left.first.first}/in", "what it is in is in it") if now.empty?

            now.each { |place, entry| want(place, entry, Kinds::BOUNDARY, boundary(place, entry), within(place, entry)) }
          end
        end

        def levels(entries)
          entries.each do |place, entry|
            refuse("#{place}/level", "it is none of #{Kinds::LEVELS.join(", ")}") unless Kinds::LEVELS.include?(entry["level"])
          end
        end

        def boundary(place, entry)
          blocks = list(place, entry, "blocks")
          { "level" => entry["level"], "prefixes" => said("#{place}/blocks") { Prefixes.normal(blocks.join(" ")) }, **shared(place, entry) }
        end

        def resource(place, entry)
          service = entry["service"]
          refuse("#{place}/service", "it is none of #{Services::ALL.first(6).join(", ")} and so on") unless Services::ALL.include?(service)

          address = entry["address"] && said("#{place}/address") { Addresses.address(entry["address"].to_s).to_s }
          facts = { "service" => service, "address" => address, "public" => flag(place, entry, "public"), **shared(place, entry) }
          want(place, entry, Kinds::RESOURCE, facts, within(place, entry))
        end

        def paper(place, entry, service)
          want(place, entry, Kinds::RESOURCE, { "service" => service, **shared(place, entry) }, within(place, entry))
        end

        def shared(place, entry)
          facts = entry.fetch("facts", {}).merge(entry.fetch("tags", {})) { |_, fact, _| fact }
          refuse("#{place}/facts", "it is not an object of texts") if facts.values.any?(Enumerable)

          { "zone" => entry["zone"]&.to_s, "details" => details(place, facts) }
        rescue TypeError, NoMethodError
          refuse("#{place}/facts", "it is not an object of texts")
        end

        def details(place, facts) = (said("#{place}/facts") { Details.write(facts) } unless facts.empty?)

        def memberships(place, entry)
          list(place, entry, "groups").each_with_index do |id, index|
            known(id, "groups") { "#{place}/groups/#{index}" }
            relate("membership", [entry["id"], id], { "member" => entry["id"], "group" => id })
          end
        end

        def rules(place, entry)
          list(place, entry, "rules").each_with_index { |rule, index| rule("#{place}/rules/#{index}", rule, entry["id"], index) }
        end

        def rule(place, rule, holder, index)
          refuse(place, "it is not an object") unless rule.is_a?(Hash)
          refuse("#{place}/direction", "it is neither in nor out") unless Rules::DIRECTIONS.include?(rule["direction"])
          action = rule.fetch("action", "allows")
          refuse("#{place}/action", "it is neither allows nor denies") unless Rules::ACTIONS.include?(action)
          refuse("#{place}/action", "a group only allows") if action == "denies" && @ids[holder][1] == "groups"

          peer, said = whom(place, rule)
          facts = { "action" => action, "direction" => rule["direction"], **traffic(place, rule), **said }
          facts[Kinds::PLACE] = (index + 1) * Change::OrderKey::ROOM if listed?(holder)
          relate(Kinds::RULE, [holder, rule["id"] || words(facts, peer)], { "holder" => holder, "peer" => peer || holder }, facts)
        end

        def words(facts, peer) = [*facts.values_at("direction", "protocol", "ports", "block", "anybody", Kinds::PLACE), peer].join(" ")

        # Rules of a group that say the same are one, in any order; of a list each stands in its place.
        def listed?(holder) = @ids[holder][1] == "lists"

        # @return [Array(String, Hash)] id of a group, or nil, and the facts that say whom
        def whom(place, rule)
          said = rule[Rules::TOWARDS.fetch(rule["direction"])]
          return [known(said["group"], "groups") { "#{place}/group" }, {}] if said.is_a?(Hash)
          return [nil, { "anybody" => true }] if said == Rules::ANYBODY

          [nil, { "block" => said("#{place}/#{Rules::TOWARDS.fetch(rule["direction"])}") { Addresses.prefix(said.to_s).to_s } }]
        end

        def traffic(place, entry)
          protocol = entry["protocol"]
          return {} if protocol.nil? || protocol == "any"

          refuse("#{place}/protocol", "it is none of #{Kinds::PROTOCOLS.join(", ")}") unless Kinds::PROTOCOLS.include?(protocol)
          { "protocol" => protocol, "ports" => entry["ports"] && said("#{place}/ports") { TrafficText.ports(entry["ports"].to_s) } }.compact
        end

        def routes(place, entry)
          list(place, entry, "routes").each_with_index do |route, index|
            at = "#{place}/routes/#{index}"
            refuse(at, "it is not an object") unless route.is_a?(Hash)
            prefix = said("#{at}/block") { Addresses.prefix(route["block"].to_s).to_s }
            to = route["to"] && known(route["to"], "boundaries", "resources") { "#{at}/to" }
            relate(Kinds::ROUTE, [entry["id"], prefix], { "table" => entry["id"], "to" => to || entry["id"] },
                   { "prefix" => prefix, "nowhere" => (true unless to) })
          end
        end

        def governs(place, entry)
          list(place, entry, "subnets").each_with_index do |id, index|
            known(id, "boundaries") { "#{place}/subnets/#{index}" }
            relate(Kinds::GOVERNANCE, [entry["id"], id], { "by" => entry["id"], "subnet" => id })
          end
        end

        def connection(place, entry)
          from, to = %w[from to].map { |role| known(entry[role], "boundaries", "resources") { "#{place}/#{role}" } }
          verb = entry.fetch("does", Verbs::PLAIN)
          refuse("#{place}/does", "it is none of #{Verbs::ALL.join(", ")}") unless Verbs::ALL.include?(verb)

          facts = { "verb" => verb, **traffic(place, entry), "both" => flag(place, entry, "both ways") }
          relate(Kinds::CONNECTION, [from, verb, to, facts["protocol"], facts["ports"]].compact, { "from" => from, "to" => to }, facts)
        end

        def want(place, entry, kind, facts, holder = nil)
          name = said("#{place}/name") { Model::Names.clean(entry.fetch("name", entry["id"]).to_s) }
          name = entry["id"] if name.empty?
          @wanted << Wanted.new(key: entry["id"], kind:, name:, facts: facts.compact, within: holder, ends: nil)
        end

        def relate(kind, key, ends, facts = {})
          @wanted << Wanted.new(key: "#{kind} #{key.join(" ")}", kind:, name: nil, facts: facts.compact, within: nil, ends:)
        end

        def within(place, entry) = entry["in"] && known(entry["in"], "boundaries") { "#{place}/in" }

        # @yieldreturn [String] the place, for when it is refused
        # @return [String] an id that is there, of something of these lists
        def known(id, *lists)
          found = @ids[id]
          return id if found && lists.include?(found[1])

          name = Model::Names.short(id.to_s)
          refuse(yield, found ? "#{name} is one of #{found[1]}, and not of #{lists.join(" or ")}" : "#{id.inspect[0, 60]} is nowhere in it")
        end

        def list(place, entry, key)
          found = entry.fetch(key, [])
          found.is_a?(Array) ? found : refuse("#{place}/#{key}", "it is not a list")
        end

        def flag(place, entry, key)
          return if [nil, false].include?(entry[key])

          entry[key] == true || refuse("#{place}/#{key}", "it is neither true nor false")
        end

        # What a fact refuses is refused with its place.
        def said(place)
          found = yield
          found == "" ? nil : found
        rescue Mistake => e
          refuse(place, e.message)
        end

        def text?(value) = value.is_a?(String) && !value.strip.empty? && value.length <= 300
        def refuse(place, words) = raise(Unreadable.new(place, words))
      end
    end
  end
end
