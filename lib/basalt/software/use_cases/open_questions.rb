# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # The questions that a system raises by what stands around it, what is kept, what happens and who takes part: each is open until an
      # actor or a use case has a thread to it, or somebody said why nobody does it.
      class OpenQuestions
        KEPT = { "creates" => "Who creates", "reads" => "Who looks up", "updates" => "Who alters", "deletes" => "Who deletes" }.freeze
        LIFE = { "brings up" => "Who starts", "looks after" => "Who looks after", "shuts down" => "Who shuts down" }.freeze
        GROUPS = { around: "Who deals with it", kept: "What is kept", happens: "What happens", life: "The system itself" }.freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param system [Model::Element] of the kind +system+
        def initialize(set, system)
          @set = set
          @system = system
        end

        # @return [Array<Question>]
        def all = @all ||= neighbours + roles + kept + events + life

        # @return [Array<Question>]
        def open = all.select(&:open?)

        # @param key [String]
        # @return [Question, nil]
        def find(key) = all.find { |question| question.key == key }

        private

        def question(verb, source, words, group)
          threads = Threads.to(@set, source.id)
          answers = threads.select { |one| one["verb"] == verb }.map { |one| one.target("of") }.select { |id| here?(id) }
          reason = Threads.closed(@set, @system.id, verb, source.id)
          Question.new(verb:, source_id: source.id, words:, group:, answers:, reason: reason && (reason["reason"] || "nobody"))
        end

        # A use case of another system answers nothing here.
        def here?(id)
          around = @set.element(id)&.container_id
          around.nil? || around == @system.id || @set.element(around)&.kind != "system"
        end

        def around
          @around ||=
            @set.relations_of(@system.id, "flow").flat_map(&:endpoints).uniq
              .map { |id| @set.element(id) }
              .select { |one| %w[party system].include?(one.kind) && one.id != @system.id }
        end

        def neighbours = around.map { |one| wanted(one) }

        # Those who take part inside of the work, where the project knows them.
        def roles
          all = @set.of_kind("party").select { |one| one["standing"] == "role" }
          (all - around).map { |one| wanted(one) }
        end

        def wanted(one) = question("is wanted by", one, "What does #{one.name} want of #{@system.name}?", :around)

        def kept
          @set.of_kind("entity").flat_map do |entity|
            KEPT.map { |verb, words| question(verb, entity, "#{words} #{entity.name}?", :kept) }
          end
        end

        def events
          @set.of_kind("activity").select { |one| one["occasion"] }.map do |one|
            question("tells of", one, "Who is told when #{one["occasion"]}?", :happens)
          end
        end

        def life = LIFE.map { |verb, words| question(verb, @system, "#{words} #{@system.name}?", :life) }
      end
    end
  end
end
