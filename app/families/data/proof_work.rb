# frozen_string_literal: true

module Web
  module Families
    module Data
      # Proves on the real server that it takes the tables of a sheet.
      module ProofWork
        MADE = ["table", "view", Basalt::Data::Physical::Kinds::OBJECT].freeze

        module_function

        # @param task [Store::Task] with the +sheet_id+, the +engine+ where it is another than PostgreSQL, and how many +rows+ are loaded
        # @return [Store::Task::Result] how many of how many statements ran, and of the one that did not, what it is about
        def call(task)
          statements =
            Store::ProjectSession.for(task.project_id).open { |project| statements(project.set, task) }
          task.report(0, statements.length)
          engine = task.arguments["engine"]
          outcome = engine ? Store::EngineProof.of(engine, statements) : Store::Proof.of(statements)
          Store::Task::Result.new(values: { **outcome.to_h, of: statements.length })
        end

        def statements(set, task)
          count = task.arguments["rows"]
          written(set, task).statements + (count ? rows(set, task.arguments["sheet_id"], count).statements : [])
        end

        # @param count [Integer] for each table
        # @return [Basalt::Data::Physical::Samples::Rows] for what stands on the sheet
        def rows(set, sheet_id, count)
          things = set.things_on(sheet_id).select { |thing| MADE.include?(thing.kind) }
          Basalt::Data::Physical::Samples::Rows.new(set, things, count:)
        end

        def written(set, task)
          name = task.arguments["engine"] or return script(set, task.arguments["sheet_id"])
          for_engine(set, task.arguments["sheet_id"], Basalt::Data::Physical::Engine.named(name))
        end

        # @return [Basalt::Data::Physical::EngineScript]
        def for_engine(set, sheet_id, engine)
          things = set.things_on(sheet_id).select { |thing| MADE.include?(thing.kind) }
          Basalt::Data::Physical::EngineScript.new(set, things, engine, Basalt::Data::Physical::AgreedTypes.of(set, engine))
        end

        # @return [Basalt::Data::Physical::Script] of what stands on the sheet
        def script(set, sheet_id) =
          Basalt::Data::Physical::Script.new(set, set.things_on(sheet_id).select { |thing| MADE.include?(thing.kind) })
      end
    end
  end
end
