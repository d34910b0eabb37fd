# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Presenters
        # An inventory beside what the project has of the account, and how far its taking in is.
        class AccountPage
          # Rows that are told of each sort.
          MOST = 60
          WORDS = { nil => "nothing" }.freeze

          # @param task [Store::Task, nil]
          def initialize(set, intake, task)
            @set = set
            @intake = intake
            @task = task
          end

          def title = reader.title
          def count = reader.wanted.count { |one| one.ends.nil? }
          def nothing? = comparison.empty?
          def first? = comparison.came.empty?
          # @return [Array<String>] how many entries of each sort
          def counts = ["#{comparison.added.length} new", "#{comparison.gone.length} gone", "#{comparison.altered.length} altered"]

          # @return [Array<String>] things before what joins them
          def added = told(comparison.added.reject(&:ends).map { |one| "#{noun(one)} #{one.name}" })
          def gone = told(comparison.gone.reject(&:relation?).map { |one| "#{one.noun} #{one.name}" })

          # @return [Array<String>] with what there is and what comes instead
          def altered =
            told(comparison.altered.map { |one| "#{called(one.element)}: #{became(one.changes)}" })

          # @return [Array<String>] what of a service template is not modelled
          def left_out = file.last.first(MOST)

          def begun? = !@task.nil?
          def state = @task.state
          def finished? = @task.finished?
          def reason = @task.result&.fetch("reason", nil)
          def result(key) = @task.result&.fetch(key, nil)
          def done = @task.done.to_i
          def total = [@task.total.to_i, 1].max
          def sheet_id = result("sheet")

          private

          def reader = file.first
          def file = @file ||= AccountFile.read(@intake.file_name, @intake.content)
          def comparison = @comparison ||= Basalt::Cloud::Inventory::Comparison.new(reader, @set)
          def became(changes) = changes.map { |fact, (was, now)| "#{fact} #{said(was)}, now #{said(now)}" }.join("; ")
          def noun(wanted) = wanted.facts.values_at("level", "service").compact.first || wanted.kind
          def told(lines) = lines.length > MOST ? lines.first(MOST) + ["and #{lines.length - MOST} more"] : lines
          def said(value) = value.nil? ? "nothing" : Basalt::Model::Names.short(value.to_s, 60)

          def called(element)
            return "#{element.noun} #{element.name}" unless element.relation?
            return Basalt::Cloud::Rules.words(@set, element) if element.kind == Basalt::Cloud::Kinds::RULE

            "#{element.kind} of #{element.endpoints.map { |id| @set.element(id)&.name }.uniq.join(" and ")}"
          end
        end
      end
    end
  end
end
