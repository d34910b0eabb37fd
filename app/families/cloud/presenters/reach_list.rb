# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Presenters
        # What may reach a thing, and what it may reach, as far as it is asked for.
        class ReachList
          # Rows that are told on either side, and taken together.
          MOST = 40
          WAYS = { "in" => "What may reach it", "out" => "What it may reach" }.freeze
          Row = Basalt::Value.of(:id, :name, :by, :traffic, :drawn)
          Side = Basalt::Value.of(:way, :title, :rows, :more) do
            # @return [String] what a button draws
            def drawing(row) = way == "in" ? "Draw that #{row.name} reaches it" : "Draw that it reaches #{row.name}"
            def takable = rows.reject(&:drawn).map(&:id)
          end

          # @param asked [Hash] +port+ and +sort+ by which rows are picked out
          def initialize(set, sheet, element, asked)
            @set = set
            @sheet = sheet
            @element = element
            @port = asked["port"].to_s[/\A\d{1,5}\z/]
            @sort = asked["sort"].to_s
            @reaching = Basalt::Cloud::Reaching.new(set)
          end

          attr_reader :element, :port

          # @return [Array<Array(String, String, Boolean)>] value, words, and whether it is chosen
          def sorts
            [["", "by anything"], *Basalt::Cloud::ReachTable::SORTS.map { |sort, words| [sort.to_s, words] }].map { |value, words| [value, words, value == @sort] }
          end

          # @return [Array<Side>]
          def sides =
            WAYS.map do |way, title|
              all = merged(way == "in" ? @reaching.into(element.id) : @reaching.out_of(element.id)).select { |entry| asked?(entry) }
              Side.new(way:, title:, rows: all.first(MOST).map { |entry| row(entry, way) }, more: [all.length - MOST, 0].max)
            end

          private

          # Parts of the internet that may do the same are one.
          def merged(entries)
            inner, outer = entries.partition(&:id)
            outer.group_by { |one| [one.traffic, one.sort] }.map { |_, alike| alike.min_by { |one| one.block.to_s.length } } + inner
          end

          def asked?(entry)
            return false unless @sort.empty? || entry.sort.to_s == @sort

            @port.nil? || entry.traffic.include?(Basalt::Cloud::Reach::Traffic.number("tcp", @port.to_i))
          end

          def row(entry, way)
            id = entry.id || Basalt::Cloud::Services::INTERNET
            name = entry.id ? @set.element(entry.id).name : [Basalt::Cloud::Services::INTERNET, entry.block].compact.join(" ")
            Row.new(id:, name:, by: Basalt::Cloud::ReachTable::SORTS.fetch(entry.sort), traffic: entry.traffic.to_s,
                    drawn: drawn?(entry, way))
          end

          def drawn?(entry, way)
            @set.relations_of(element.id, Basalt::Cloud::Kinds::CONNECTION).any? do |line|
              other = line.target(way == "in" ? "from" : "to")
              entry.id ? other == entry.id : @set.element(other)["service"] == Basalt::Cloud::Services::INTERNET
            end
          end
        end
      end
    end
  end
end
