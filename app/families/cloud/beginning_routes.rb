# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # Structures to begin a cloud sheet with.
      module BeginningRoutes
        extend Routing

        SHEET = EditRoutes::SHEET

        helped_by :Pictures

        get("#{SHEET}/beginnings", needs: :see, answers: :page) do
          with_project do |project|
            erb(:beginnings, locals: { project:, sheet: sheet(project), page: Presenters::BeginningsPage.new(project.set, sheet(project)) })
          end
        end

        get("/cloud-beginnings/:beginning.svg", needs: :see, answers: :file) do
          content_type "image/svg+xml"
          Beginning.picture(params[:beginning].to_s)
        end

        post "#{SHEET}/begun", needs: :edit, answers: :redirect, makes: "Add, Show" do
          with_project do |project|
            about = sheet(project)
            empty = project.set.things_on(about.id).empty?
            name = params[:beginning] || project.set.sheets[id(params[:from])]&.name
            project.act(said: "began with #{Basalt::Model::Names.short(name.to_s)}", by: person, sheet_id: about.id, tidy: empty) do |draft|
              Beginning.begin(draft, about, params)
            end
            redirect sheet_path(about.id)
          end
        end

        # Where the picture of a beginning is.
        module Pictures
          def beginning_picture(one) = "/cloud-beginnings/#{Rack::Utils.escape_path(one.name)}.svg"
        end

        # Its statements, or what another sheet has.
        module Beginning
          module_function

          def begin(draft, sheet, params)
            prefix = params[:prefix].to_s.strip
            return Basalt::Cloud::Beginnings.copy(draft, params[:from], sheet.id, prefix) if params[:from]

            text = Basalt::Cloud::Beginnings.fetch(params[:beginning].to_s).statements(prefix)
            Basalt::Statements::Document.new(text).into(draft, sheet_id: sheet.id)
          end

          # @return [String] as SVG; the same as long as the application runs
          def picture(name)
            (@pictures ||= {})[name] ||= begin
              draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new)
              text = "sheet Beginning: cloud\n#{Basalt::Cloud::Beginnings.fetch(name).statements("my")}"
              Basalt::Statements::Document.new(text).into(draft)
              sheet = draft.sheet_list.first
              Basalt::Drawing::Arranger.new(draft, sheet.id).tidy(by_hand: true)
              Basalt::Drawing::SVG.document(Basalt::Drawing::Scene.new(draft, sheet.id), description: name)
            end
          end
        end
      end
    end
  end
end
