# frozen_string_literal: true

module Web
  # What is done with sheets as a whole, from the drawing register. Each is an act of the register,
  # undone there like any other.
  module SheetListRoutes
    extend Routing

    SHEET = EditRoutes::SHEET

    helped_by :Listing

    post("#{SHEET}/renamed", needs: :edit, answers: :redirect, makes: "SetSheet") do
      in_register(->(sheet) { "renamed #{sheet.name}" }) do |draft, sheet|
        draft.apply(Basalt::Change::SetSheet.new(id: sheet.id, fact: :name, value: params[:name]))
      end
    end
    post("#{SHEET}/level", needs: :edit, answers: :redirect, makes: "SetSheet") do
      in_register(->(sheet) { "moved #{sheet.name} to another level" }) do |draft, sheet|
        draft.apply(Basalt::Change::SetSheet.new(id: sheet.id, fact: :band, value: params[:band]))
      end
    end
    post("#{SHEET}/placed-in-order", needs: :edit, answers: :redirect, makes: "MoveSheet") do
      in_register(->(sheet) { "put #{sheet.name} in another place" }) do |draft, sheet|
        draft.apply(Basalt::Change::MoveSheet.new(id: sheet.id, by: params[:by].to_i.clamp(-10_000, 10_000)))
      end
    end

    post "#{SHEET}/copied", needs: :edit, answers: :redirect, makes: "DuplicateSheet" do
      in_register(->(sheet) { "duplicated #{sheet.name}" }) do |draft, sheet|
        draft.apply(Basalt::Change::DuplicateSheet.new(of_id: sheet.id, name: params[:name], drawn_by: person, dated: Date.today.iso8601))
      end
    end

    # Before a sheet goes, what would go with it is told.
    get("#{SHEET}/removal", needs: :see, answers: :page) do
      with_project do |project|
        erb(
          :sheet_removal,
          locals: {
            project:,
            sheet: sheet(project),
            alone: Basalt::Change::RemoveSheet.alone(project.set, sheet(project).id)
          }
        )
      end
    end

    post "#{SHEET}/taken-away", needs: :edit, answers: :redirect, makes: "RemoveSheet" do
      in_register(->(sheet) { "removed the sheet #{sheet.name}" }) do |draft, sheet|
        draft.apply(Basalt::Change::RemoveSheet.new(id: sheet.id, with_elements: params[:elements] == "yes"))
      end
    end

    # The common course of these acts.
    module Listing
      def in_register(said)
        with_project do |project|
          sheet = sheet(project)
          project.act(said: said.call(sheet), by: person) { |draft| yield draft, sheet }
          redirect project_path(project.project_id)
        end
      end
    end
  end
end
