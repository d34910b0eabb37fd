# frozen_string_literal: true

module Web
  module Families
    module Data
      # What determines what in a table: said, suggested by rows, and refuted by them.
      module DependencyRoutes
        extend Routing

        TABLE = "#{EditRoutes::SHEET}/tables/:element_id/dependencies".freeze

        helped_by :Dependencies

        get(TABLE, needs: :see, answers: :page) { with_project { |project| dependencies(project, nil) } }

        # Rows are looked at and not kept.
        post(TABLE, needs: :edit, answers: :page, makes: "nothing") { with_project { |project| dependencies(project, params[:rows].to_s) } }

        post "#{TABLE}/rows", needs: :edit, answers: :part, makes: "nothing" do
          with_project do |project|
            cells = Array(params[:row_cells]).map(&:to_s)
            page = Presenters::DependenciesPage.new(project.set, dependent_table(project.set), nil, cells:)
            view(:dependencies_told, sheet: sheet(project), page:)
          end
        end

        post "#{TABLE}/said", needs: :edit, answers: :redirect, makes: "Add" do
          with_project do |project|
            table = dependent_table(project.set)
            sides = %i[left right].map { |side| params[side].to_s.split("\n").map(&:strip).reject(&:empty?) }
            raise Basalt::Mistake, "Say what determines what" if sides.any?(&:empty?)

            words = sides.map { |names| names.join(", ") }.join(" determines ")
            project.act(said: "said that #{words} in #{table.name}", by: person) do |draft|
              context = Basalt::Statements::Context.new(draft)
              Basalt::Data::Determining.say(context, { table: draft.element(table.id), left: sides.first, right: sides.last })
            end
            redirect sheet_path(sheet(project).id, "tables/#{table.id}/dependencies")
          end
        end

        # What an address names, and its page.
        module Dependencies
          def dependent_table(set)
            found = element(set, params[:element_id])
            found.kind == "table" ? found : raise(Refusals::NotFound, "table")
          end

          # @param rows [String, nil]
          def dependencies(project, rows)
            table = dependent_table(project.set)
            page = Presenters::DependenciesPage.new(project.set, table, rows)
            erb(:dependencies, locals: { project:, sheet: sheet(project), page: })
          end
        end
      end
    end
  end
end
