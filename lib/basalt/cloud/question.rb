# frozen_string_literal: true

module Basalt
  module Cloud
    # Can one thing reach another, by this protocol and port? The steps of the way in words, up to the first that stops it.
    class Question
      Step = Value.of(:passes, :text, :ids)

      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      # @param from_id [String] of a resource, a site or the internet
      # @param to_id [String]
      # @param protocol [String]
      # @param port [Integer, nil] of a protocol that has them
      # @param scape [ModelLandscape]
      # @raise [Mistake] where one of the two is on no network
      def initialize(set, from_id, to_id, protocol, port, scape: ModelLandscape.of(set))
        @set = set
        @scape = scape
        @from, @to = [from_id, to_id].map { |id| set.element(id) or raise Refusals::Gone, "one of the two" }
        @asked = TrafficText.words(protocol, Reach::Traffic::PORTED.include?(protocol) ? port&.to_s : nil)
        @number = Reach::Traffic.number(protocol, port.to_i)
      end

      attr_reader :from, :to, :asked

      # @return [Boolean]
      def passes? = declared || (!nowhere && traces.any?(&:passes?))

      # @return [Array<Step>] what decides it, one after the other
      def steps
        return [Step.new(passes: true, text: "It is declared: #{Connecting.words(@set, declared)}.", ids: [declared.id])] if declared
        return [nowhere] if nowhere

        shown = traces.find(&:passes?) || traces.max_by { |trace| trace.steps.length }
        shown.steps.map { |step| told(step) }
      end

      # @return [String] the answer in one sentence
      def answer
        return "#{from.name} can reach #{to.name} by #{asked}." if passes?

        "#{from.name} cannot reach #{to.name} by #{asked}: #{steps.last.text.sub(/\A(No|The|Its|It)\b/) { |word| word.downcase }}"
      end

      private

      # @return [Model::Element, nil] a connection that says so by itself
      def declared
        return @declared if defined?(@declared)

        @declared = @set.relations_between(from.id, to.id, Kinds::CONNECTION).find do |one|
          one.target("from") == from.id && one.target("to") == to.id && Verbs::DECLARED.include?(one["verb"]) && !placed? &&
            TrafficText.traffic(one["protocol"], one["ports"]).include?(@number)
        end
      end

      # Where both are on a network, rules decide.
      def placed? = [from, to].all? { |one| @scape.interface(one.id) }

      def nowhere
        @nowhere ||= [from, to].find { |one| !outside?(one) && @scape.interface(one.id).nil? }.then do |one|
          one && Step.new(passes: false, text: "#{one.name} is in no subnet, and nothing declares that the one uses the other.",
                          ids: [one.id])
        end
      end

      def outside?(one) = one["service"] == Services::INTERNET

      # From all of the internet: of its parts one is enough to get in.
      def traces
        @traces ||= sides(from).product(sides(to)).map do |one, other|
          together = !outside?(from) && !outside?(to) && @scape.interface(from.id).subnet_id == @scape.interface(to.id).subnet_id
          Reach::Trace.new(@scape.analysis, one, other, @number, together:)
        end
      end

      def sides(one) = outside?(one) ? widest : [@scape.analysis.party(@scape.interface(one.id))]

      # The parts of the internet that no rule names come first.
      def widest = @scape.analysis.outside.keys.select { |party| party.version == 4 }.sort_by { |party| party.around.length }

      def told(step)
        Step.new(passes: step.passes, text: StepWords.new(@set, from, to, asked).of(step),
                 ids: [step.holder_id, step.rule_id, step.way].grep(String))
      end
    end
  end
end
