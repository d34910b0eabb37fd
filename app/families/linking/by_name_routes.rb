# frozen_string_literal: true

module Web
  module Families
    module Linking
      # Many things linked with their sheets at once, by what they are called.
      module ByNameRoutes
        extend Routing

        LINKS = "/projects/:project_id/links"
        # Sheets that are made in one act.
        MOST_MADE = 500

        helped_by :ByName

        get LINKS, needs: :see, answers: :page do
          with_project { |project| erb(:by_name, locals: { project:, page: by_name(project) }) }
        end

        get "#{LINKS}/preview", needs: :see, answers: :part do
          with_project { |project| view(:by_name_preview, project:, page: by_name(project)) }
        end

        post LINKS, needs: :edit, answers: :redirect, makes: "Link" do
          with_project do |project|
            words = nil
            project.act(said: -> { words }, by: person) do |draft|
              changes = wanted.links(draft, chosen_sheets)
              raise Basalt::Mistake, "There is nothing to link: what matches stands already, or was not chosen" if changes.empty?

              words = "linked #{Basalt::English.count(changes.map(&:element_id).uniq.length, "thing")} by name"
              draft.apply(changes)
            end
            redirect project_path(project.project_id, "links?#{wanted.query}")
          end
        end

        post "#{LINKS}/made", needs: :edit, answers: :redirect, makes: "AddSheet, SetSubject, Show" do
          with_project do |project|
            ids = Array(params[:make]).grep(Lookup::ID).uniq
            raise Basalt::Mistake, "Choose things whose sheets are to be made" if ids.empty?
            raise Basalt::Mistake, "Make at most #{MOST_MADE} sheets at once" if ids.length > MOST_MADE

            made = 0
            project.act(said: -> { "made #{Basalt::English.count(made, "sheet")} of what had none" }, by: person) do |draft|
              made = Basalt::Openers.make(draft, ids) { |sheet_id| finish_sheet(draft, sheet_id) }
            end
            redirect project_path(project.project_id, "links?#{wanted.query}")
          end
        end

        # What is asked for, from the form.
        module ByName
          def by_name(project) = Presenters::ByNamePage.new(project.set, wanted)
          def wanted = ByNameForm.new(params)

          # @return [Hash{String => Array<String>}] ids of sheets by id of the thing
          def chosen_sheets
            pairs = Array(params[:chosen_pairs]).map(&:split).select { |pair| pair.length == 2 && pair.all?(Lookup::ID) }
            pairs.group_by(&:first).transform_values { |list| list.map(&:last) }
          end
        end
      end
    end
  end
end
