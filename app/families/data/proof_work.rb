# frozen_string_literal: true

module Web
  module Families
    module Data
      # Proves on the real server that it takes the tables of a sheet.
      module ProofWork
        MADE = ["table", "view", Basalt::Data::Physical::Kinds::OBJECT].freeze

        module_function

        # @param task [Store::Task] with the +sheet_id+
        # @return [Store::Task::Result] how many of how many statements ran, and of the one that did not, what it is about
        def call(task)
          statements =
            Store::ProjectSession.for(task.project_id).open { |project| script(project.set, task.arguments["sheet_id"]).statements }
          task.report(0, statements.length)
          outcome = Store::Proof.of(statements)
          Store::Task::Result.new(values: { **outcome.to_h, of: statements.length })
        end

        # @return [Basalt::Data::Physical::Script] of what stands on the sheet
        def script(set, sheet_id) =
          Basalt::Data::Physical::Script.new(set, set.things_on(sheet_id).select { |thing| MADE.include?(thing.kind) })
      end
    end
  end
end
