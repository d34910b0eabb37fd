# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # The open questions of a system, by what they are about.
        class QuestionList
          # So many of a group are shown at a time; the next ones come as they are answered.
          MOST = 6
          Group = Basalt::Value.of(:title, :open, :shown, :all)
          Asked = Basalt::Value.of(:id, :verb, :source_id, :words)

          # @param system [Basalt::Model::Element, nil]
          def initialize(set, system)
            @questions = system ? Basalt::Software::UseCases::OpenQuestions.new(set, system).all : []
          end

          def count = @questions.count(&:open?)
          def closed = @questions.length - count

          # @return [Array<Group>]
          def groups
            Basalt::Software::UseCases::OpenQuestions::GROUPS.filter_map do |group, title|
              all = @questions.select { |question| question.group == group }
              open = all.select(&:open?)
              Group.new(title:, open: open.length, shown: open.first(MOST).map { |one| asked(one) }, all: all.length) if open.any?
            end
          end

          private

          def asked(question)
            id = "#{question.verb.tr(" ", "-")}-#{question.source_id}"
            Asked.new(id:, verb: question.verb, source_id: question.source_id, words: question.words)
          end
        end
      end
    end
  end
end
