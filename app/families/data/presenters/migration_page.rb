# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # A migration that was found, and what came of it on the server.
        class MigrationPage
          Step = Basalt::Value.of(:key, :sql, :loses, :by_hand, :shown, :title)

          # @param task [Store::Task]
          def initialize(set, task)
            @set = set
            @task = task
            @result = task.result || {}
          end

          def id = @task.id
          def finished? = @task.finished?
          def done? = @task.state == "done"
          def reason = @result["reason"] || "It was stopped."

          # @return [Array<Step>]
          def steps = @steps ||= found.map { |one| step(one) }

          # @return [Integer] how many of them may lose something
          def losing = steps.count { |one| one.loses && !one.by_hand }

          # @return [Integer] how many have to be done by hand
          def by_hand = steps.count(&:by_hand)

          def message = @result["message"]
          def line = @result["line"]

          # @return [Array<String>] SQL by which what came of it still differs from the model
          def left = @result["left"] || []

          # @param confirmed [Array<String>] keys of the steps that may lose something
          # @return [String]
          def script(confirmed)
            whole = found.map { |one| Basalt::Data::Physical::Migration::Step.new(**one.slice("sql", "loses", "by_hand").transform_keys(&:to_sym)) }
            Basalt::Data::Physical::Migration.written(whole, confirmed)
          end

          private

          def found = @result["steps"] || []

          def step(one)
            element = @set.element(one["element_id"].to_s)
            Step.new(key: one["key"], sql: one["sql"], loses: one["loses"], by_hand: one["by_hand"], title: element&.name)
          end
        end
      end
    end
  end
end
