# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # Brings a project in step with an inventory: all of it in one act, or nothing.
      module AccountWork
        # Of more things nothing is laid out at once.
        MOST_LAID_OUT = 3000
        MOST_TOLD = 200

        module_function

        # @param task [Store::Task] with the id of the intake, and whether a +sheet+ is to show what came
        # @return [nil] what it came to is kept with the act
        def call(task)
          intake = Store::Intake.find_by!(id: task.arguments["intake_id"], project_id: task.project_id)
          reader, left = AccountFile.read(intake.file_name, intake.content)
          Store::ProjectSession.new(task.project_id).open do |project|
            told = take(project, reader, task, left)
            show(project, reader, task, told) if task.arguments["sheet"] && told[:added].positive?
          end
          nil
        end

        def take(project, reader, task, left)
          told = nil
          keep = -> { task.keep(Store::Task::Result.new(values: told)) }
          outcome =
            project.act(said: "brought in the account #{reader.title}", by: task.said_by, patient: true, along: keep) do |draft|
              comparison = Basalt::Cloud::Inventory::Comparison.new(reader, draft)
              told = { added: comparison.added.length, gone: comparison.gone.length, altered: comparison.altered.length,
                       left: left.first(MOST_TOLD) }
              Basalt::Cloud::Inventory::Intake.new(comparison, draft).take { |count| task.report(count, reader.wanted.length) }
              sheet = task.arguments["sheet"] ? open(draft, reader) : nil
              told = told.merge(sheet:).compact
            end
          keep.call if outcome.effect.empty?
          told
        end

        # A sheet of all that came from the account.
        def open(draft, reader)
          id = draft.new_id
          title = Basalt::Change::SheetTitle.free(draft, reader.title)
          draft.apply(Basalt::Change::AddSheet.new(name: title, notation: Basalt::Cloud::Notation::Architecture::NAME, id:))
          draft.of_kind(Basalt::Cloud::Kinds::BOUNDARY, Basalt::Cloud::Kinds::RESOURCE).each do |one|
            draft.apply(Basalt::Change::Show.new(sheet_id: id, element_id: one.id)) if one.external_id
          end
          id
        end

        def show(project, _reader, task, told)
          return unless told[:sheet] && project.set.things_on(told[:sheet]).length <= MOST_LAID_OUT

          project.act(said: "laid out what came in", by: task.said_by, sheet_id: told[:sheet], tidy: true) { nil }
        end
      end
    end
  end
end
