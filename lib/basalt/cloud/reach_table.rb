# frozen_string_literal: true

module Basalt
  module Cloud
    # Who may reach whom by which ports, as rows.
    class ReachTable
      COLUMNS = %w[from to by allowed].freeze
      # How many rows are written; beyond it a row says that there are more.
      MOST = 200_000
      SORTS = { wide: "by a wide rule", rules: "between groups", declared: "declared" }.freeze

      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      def initialize(set)
        @set = set
        @scape = ModelLandscape.of(set)
        @reaching = Reaching.new(set, @scape)
      end

      # @return [Enumerator::Lazy<Array<String>>]
      def rows = (declared.lazy + passages.lazy).first(MOST)

      # @return [String]
      def csv = Formats::CSV.write([COLUMNS, *rows])

      private

      def name(id) = @set.element(id)&.name.to_s

      def declared
        lines = @set.of_kind(Kinds::CONNECTION).select { |one| Verbs::DECLARED.include?(one["verb"]) }
        lines.map do |one|
          from, to = one.endpoints.first(2).map { |id| name(id) }
          [from, to, TrafficText.traffic(one["protocol"], one["ports"]).to_s, SORTS[:declared]]
        end
      end

      def passages
        analysis = @scape.analysis
        Enumerator.new do |found|
          analysis.each do |passage|
            sort = SORTS.fetch(@reaching.sort(passage.from, passage.to))
            senders = analysis.outside.key?(passage.from) ? [nil] : analysis.members.fetch(passage.from)
            pairs = senders.product(analysis.members.fetch(passage.to))
            pairs.filter_map { |from, to| row(passage, from, to, sort) }.each { |one| found << one }
          end
        end
      end

      def row(passage, from, to, sort)
        return if from && from.id == to.id

        traffic = from && from.subnet_id == to.subnet_id ? passage.together : passage.apart
        [from ? name(from.owner_id) : outside(passage.from), name(to.owner_id), traffic.to_s, sort] if traffic.any?
      end

      def outside(party)
        block = party.around.max_by(&:length)
        block.length.zero? ? Services::INTERNET : "#{Services::INTERNET} #{block}"
      end
    end
  end
end
