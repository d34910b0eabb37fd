# frozen_string_literal: true

module Basalt
  module Cloud
    # The steps by which one reaches another or does not, as people say them.
    class StepWords
      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      # @param from [Model::Element]
      # @param to [Model::Element]
      # @param asked [String] such as +tcp 443+
      def initialize(set, from, to, asked)
        @set = set
        @from = from
        @to = to
        @asked = asked
      end

      # @param step [Reach::Trace::Step]
      # @return [String] a sentence
      def of(step)
        case step.what
        when :out_rules then ruled(step, "No rule of #{groups(@from)} lets #{@asked} out to #{@to.name}")
        when :in_rules then ruled(step, "No rule of #{groups(@to)} lets #{@asked} in from #{@from.name}")
        when :list_out then listed(step, "out of the subnet of #{@from.name}")
        when :list_in then listed(step, "into the subnet of #{@to.name}")
        when :answer_out then answered(step, "out of the subnet of #{@to.name}")
        when :answer_in then answered(step, "into the subnet of #{@from.name}")
        when :open then opened(step)
        when :gateway then gateway(step)
        when :route then routed(step)
        when :route_back then "The subnet of #{@to.name} has no route back#{" in #{name(step.holder_id)}" if step.holder_id}."
        else "The two have addresses of different versions."
        end
      end

      private

      # @return [String] the rule groups of a thing
      def groups(thing)
        lines = @set.relations_of(thing.id, "membership").select { |one| one.target("member") == thing.id }
        names = lines.map { |one| @set.element(one.target("group")) }.select { |group| group.kind == Kinds::GROUP }.map(&:name)
        names.empty? ? "a group of #{thing.name}" : names.join(" or ")
      end

      def name(id) = @set.element(id)&.name || "what is gone"

      def ruled(step, missing)
        return "#{missing}." unless step.rule_id

        "#{rule(step.rule_id)}."
      end

      def listed(step, where)
        return "#{name(step.holder_id)} says nothing of #{@asked} #{where}, and so keeps it off." unless step.rule_id

        "#{rule(step.rule_id)}, #{where}."
      end

      def answered(step, where)
        words = "#{name(step.holder_id)} #{step.passes ? "lets the answer" : "keeps the answer off: it goes to any port from 1024 on,"} " \
                "#{where}"
        "#{words}."
      end

      def opened(step)
        inner = @from["service"] == Services::INTERNET ? @to : @from
        step.passes ? "#{inner.name} can be spoken to from outside its network." : "#{inner.name} has no address of the internet."
      end

      def gateway(step)
        return "It goes through #{name(step.holder_id)}." if step.passes
        return "The answer does not come back through #{name(step.holder_id)}." if step.way.nil? && gateway?(step.holder_id)

        inner = @from["service"] == Services::INTERNET ? @to : @from
        "No gateway leads from the subnet of #{inner.name} to the internet#{" by #{name(step.holder_id)}" if step.holder_id}."
      end

      def gateway?(id) = id && [Services::GATEWAY, Services::TRANSLATION].include?(@set.element(id)&.[]("service"))

      def routed(step)
        unless step.passes
          return "The subnet of #{@from.name} has no route to #{@to.name}#{" in #{name(step.holder_id)}" if step.holder_id}."
        end
        return "Both are in one network." if step.way == Reach::Routing::LOCAL

        "The networks are joined#{" by #{joint(step.way)}" if step.way}."
      end

      def joint(id)
        one = @set.element(id)
        one&.relation? ? "“#{Connecting.words(@set, one)}”" : one&.name
      end

      # @return [String] a rule, as one says it
      def rule(id) = Rules.words(@set, @set.element(id))
    end
  end
end
