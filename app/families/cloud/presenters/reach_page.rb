# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Presenters
        # Every way in from the internet, and who can be asked about.
        class ReachPage
          # Things that are told one by one.
          MOST = 200
          Way = Basalt::Value.of(:name, :service, :traffic, :steps, :grave, :onward)
          # How far it is told to whom a request is handed on.
          DEEP = 6
          Core = Basalt::Cloud

          def initialize(set)
            @set = set
            @scape = Core::ModelLandscape.of(set)
          end

          # @return [Array<String>] names of all that can be asked about
          def names = (@set.of_kind(Core::Kinds::RESOURCE) + sites).map(&:name).uniq.first(2000)

          def empty? = @scape.landscape.interfaces.empty?
          def more = [all_ways.length - MOST, 0].max

          # @return [Array<Way>] what anybody can reach, hop by hop
          def ways = @ways ||= all_ways.first(MOST).map { |interface, open| way(interface, open) }

          private

          def sites = @set.of_kind(Core::Kinds::BOUNDARY).select { |one| one["level"] == "site" }

          def all_ways
            @all_ways ||= begin
              anybody = @scape.analysis.outside.keys.select { |party| party.around.one? }
              @scape.landscape.interfaces.values.select(&:open).filter_map do |interface|
                own = @scape.analysis.party(interface)
                open = anybody.map { |party| @scape.analysis.between(party, own).apart }.reduce(Core::Reach::Traffic::NONE, :|)
                [interface, open] if open.any?
              end
            end
          end

          def way(interface, open)
            thing = @set.element(interface.owner_id)
            own = @scape.analysis.party(interface)
            party = @scape.analysis.outside.keys.find { |one| one.around.one? && one.version == own.version }
            trace = Core::Reach::Trace.new(@scape.analysis, party, own, open.ranges.first.first)
            words = Core::StepWords.new(@set, internet(thing), thing, open.to_s)
            grave = Core::Checks::OpenToTheWorld::GRAVE.any? { |port| open.include?(Core::Reach::Traffic.number("tcp", port)) }
            Way.new(name: thing.name, service: thing.noun, traffic: open.to_s, steps: trace.steps.map { |step| words.of(step) }, grave:,
                    onward: onward(thing.id))
          end

          # What is declared to be handed on by it, step by step, each thing once.
          def onward(id)
            seen = Set[id]
            found = []
            ids = [id]
            DEEP.times do
              lines = ids.flat_map { |one| @set.relations_of(one, Core::Kinds::CONNECTION).select { |line| line.target("from") == one } }
              lines = lines.select { |line| Core::Verbs::DECLARED.include?(line["verb"]) && seen.add?(line.target("to")) }
              found.concat(lines.map { |line| Core::Connecting.words(@set, line) })
              ids = lines.map { |line| line.target("to") }
            end
            found
          end

          # Who asks, also where no sheet draws the internet.
          def internet(thing) =
            thing.with(id: "", name: Core::Services::INTERNET, facts: { "service" => Core::Services::INTERNET })
        end
      end
    end
  end
end
