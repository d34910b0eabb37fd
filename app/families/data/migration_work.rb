# frozen_string_literal: true

module Web
  module Families
    module Data
      # Finds the statements that make one state of the tables of a sheet of another, and tries them in a scratch database.
      module MigrationWork
        # What is told of a statement.
        STEP = %i[key sql loses element_id by_hand].freeze
        MOST_LEFT = 20

        module_function

        # @param task [Store::Task] with the +sheet_id+, and the number of an act (+since+) or the id of a script (+intake_id+)
        # @return [Store::Task::Result] the steps, and what came of them on the server
        def call(task)
          from, to = Store::ProjectSession.for(task.project_id).open { |project| states(project, task) }
          # What was read from a server is spelled as that does it, and so is what it is compared with.
          to = canonical(to) if task.arguments["intake_id"]
          migration = Basalt::Data::Physical::Migration.new(from, to)
          task.report(0, migration.steps.length)
          steps = migration.steps.map { |step| STEP.to_h { |fact| [fact, step.public_send(fact)] } }
          Store::Task::Result.new(values: { steps:, **tried(migration, from, to) })
        end

        # @return [Array(Basalt::Change::Draft, Basalt::Change::Draft)] as it was, and as it is to be
        def states(project, task)
          sheet_id = task.arguments["sheet_id"]
          to = only(project.set, sheet_id)
          intake = task.arguments["intake_id"]&.then { |id| Store::Intake.find_by!(id:, project_id: task.project_id) }
          from = intake ? read(intake.content) : only(Store::Past.of(task.project_id, project.set, task.arguments["since"]), sheet_id)
          [from, to]
        end

        # A model of what stands on the sheet, and what that needs.
        def only(set, sheet_id)
          draft = Basalt::Change::Draft.new(set)
          kept = set.sheets[sheet_id] ? ProofWork.script(set, sheet_id).things.to_set(&:id) : Set.new
          draft.of_kind(*ProofWork::MADE).each { |thing| draft.apply(Basalt::Change::Remove.new(id: thing.id)) unless kept.include?(thing.id) }
          draft
        end

        def read(script)
          draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
          Basalt::Data::Physical::Schema.new(script).into(draft)
          draft
        end

        def canonical(set)
          Store::Scratch.open do |scratch|
            outcome = Store::Proof.new(scratch).whole(Basalt::Data::Physical::Script.new(set).statements)
            raise Basalt::Mistake, "The server does not take the model as it stands: #{outcome.message}" unless outcome.passed?

            read(scratch.dump)
          end
        end

        # Whether the old state becomes the new one.
        def tried(migration, from, to)
          became =
            Store::Scratch.open do |scratch|
              proof = Store::Proof.new(scratch)
              made = proof.whole(Basalt::Data::Physical::Script.new(from).statements)
              return { message: "The old state itself does not load: #{made.message}" } unless made.passed?

              outcome = proof.each_of(migration.statements)
              return outcome.to_h unless outcome.passed?

              scratch.dump
            end
          left = Basalt::Data::Physical::Migration.new(read(became), canonical(to)).steps
          { ran: migration.statements.length, left: left.first(MOST_LEFT).map(&:sql) }
        end
      end
    end
  end
end
