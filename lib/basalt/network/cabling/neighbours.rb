# frozen_string_literal: true

require "json"

module Basalt
  module Network
    module Cabling
      # What a unit has found out about its neighbours (LLDP, IEEE 802.1AB), in the JSON that lldpd prints with +lldpctl -f json0+,
      # compared with the plan: cables that it proves and the plan lacks are added, ports that were open are filled in, and what
      # contradicts the plan is told and left.
      class Neighbours
        LIMIT = 2_000_000
        MOST = 10_000
        DEEP = 24
        # Types of a port's id that say what it is called (IEEE 802.1AB, 8.5.3.2).
        NAMES = %w[ifname ifalias local].freeze

        # One neighbour: +port+ of the unit, +far+ and +far_port+ as they were found, +verdict+ +:agrees+, +:completes+, +:adds+,
        # +:contradicts+ or +:unknown+, and +words+ about it.
        Row = Value.of(:port, :far, :far_port, :far_id, :cable_id, :verdict, :words)

        # @param set [Model::WorkingSet, Change::Draft]
        # @param unit [Model::Element] whose table it is
        # @param bytes [String]
        # @raise [Mistake] with the place, where it is no such table
        def initialize(set, unit, bytes)
          @set = set
          @unit = unit
          @found = entries(bytes).each_with_index.map { |entry, index| read(entry, index + 1) }.uniq
        end

        # @return [Array<Row>]
        def rows = @rows ||= @found.map { |port, far, far_port| judged(port, far, far_port) }

        # Adds and fills in what is proved, nothing else.
        #
        # @param draft [Change::Draft]
        # @return [Integer] cables that became different
        def into(draft)
          taken = rows.select { |row| %i[adds completes].include?(row.verdict) }
          taken.each { |row| row.verdict == :adds ? add(draft, row) : complete(draft, row) }
          taken.length
        end

        private

        def entries(bytes)
          raise Refusals::TooLarge.new("the table", LIMIT) if bytes.bytesize > LIMIT

          whole = JSON.parse(bytes, max_nesting: DEEP)
          parts = whole.is_a?(Hash) && whole.key?("lldp") ? [*whole["lldp"]] : [nil]
          unless parts.all?(Hash)
            raise Mistake, "this is no table of neighbours: there is no “lldp” with a list of “interface” in it"
          end

          found = parts.flat_map { |part| [*part["interface"]] }
          raise Mistake, "the table has #{found.length} neighbours; at most #{MOST} are read" if found.length > MOST

          found
        rescue JSON::NestingError
          raise Mistake, "the table is nested too deeply"
        rescue JSON::ParserError => e
          raise Mistake, "this is not JSON, or only the beginning of it: #{Model::Names.short(e.message.lines.first.to_s.strip)}"
        end

        # @return [Array(String, String, String)] port, name of the neighbour, and its port
        def read(entry, number)
          raise Mistake, "neighbour #{number} is no interface with a name" unless entry.is_a?(Hash) && entry["name"].is_a?(String)

          far = value(entry, "chassis", "name") or raise Mistake, "neighbour #{number}, at #{entry["name"]}, does not say what it is called"
          id = first(first(entry, "port"), "id")
          named = id.is_a?(Hash) && NAMES.include?(id["type"]) ? id["value"] : nil
          [entry["name"], far, (named || value(entry, "port", "descr")).to_s].map { |text| Model::Names.clean(text, limit: 200) if text != "" }
        end

        def first(hash, key) = hash.is_a?(Hash) ? [*(hash[key].is_a?(Hash) ? [hash[key]] : hash[key])].first : nil

        def value(entry, part, fact)
          found = first(first(entry, part), fact)
          found.is_a?(Hash) ? found["value"].to_s : nil
        end

        def judged(port, far, far_port)
          unit = units(far)
          about = { port:, far:, far_port:, far_id: unit&.id }
          return Row.new(**about, verdict: :unknown, words: "there is no unit called #{far} in the plan") unless unit

          known = cables(unit)
          same = known.find { |cable| labels(cable, unit) == [port, far_port] }
          return Row.new(**about, cable_id: same.id, verdict: :agrees, words: "as planned") if same

          half = open(known, unit, port, far_port)
          against = taken(@unit, port, half) || (far_port && taken(unit, far_port, half))
          return Row.new(**about, verdict: :contradicts, words: against) if against
          return Row.new(**about, verdict: :adds, words: "a cable that the plan did not have") unless half

          claimed << half.id
          Row.new(**about, cable_id: half.id, verdict: :completes, words: "the cable that was planned has its ports now")
        end

        # Cables that another neighbour has completed already.
        def claimed = @claimed ||= Set.new

        # By the whole name, or what stands before the first full stop of it.
        def units(name)
          found = [name, name.split(".").first].flat_map { |text| @set.named(text.to_s) }
          found.find { |one| one.kind == "device" && one.id != @unit.id }
        end

        def cables(far) = @set.relations_between(@unit.id, far.id, "link")

        # @return [Array(String, String)] the ports at the unit and at the far one
        def labels(cable, far) = [@unit.id, far.id].map { |id| cable.ends.find { |one| one.target_id == id }.facts["port"] }

        # A cable between the two of which nothing is said that would be otherwise.
        def open(known, far, port, far_port)
          known
            .reject { |cable| claimed.include?(cable.id) }
            .find { |cable| labels(cable, far).zip([port, far_port]).all? { |planned, found| planned.nil? || planned == found } }
        end

        # @return [String, nil] what else is plugged in there, as it is planned
        def taken(unit, label, half)
          other = CableEnds.of(@set, unit.id).find { |one| one.label == label && one.cable.id != half&.id } or return
          far = other.others.first
          "the plan has #{unit.name} #{label} to #{[@set.element(far.target_id).name, far.facts["port"]].compact.join(" ")}"
        end

        def add(draft, row)
          ends = [["one", @unit.id, { "port" => row.port }], ["other", row.far_id, { "port" => row.far_port }]]
          Change::Add.new(kind: "link", facts: { "laid" => true }, ends:).apply(draft)
        end

        def complete(draft, row)
          draft
            .element(row.cable_id)
            .ends
            .each do |one|
              port = one.target_id == @unit.id ? row.port : row.far_port
              draft.apply(Change::SetEnd.new(id: row.cable_id, role: one.role, facts: { "port" => port })) if port
            end
        end
      end
    end
  end
end
