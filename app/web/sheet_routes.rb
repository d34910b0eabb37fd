# frozen_string_literal: true

module Web
  # Looking at a sheet: its faces, the facts of what is selected, and files of it.
  module SheetRoutes
    extend Routing

    # Small pictures, each drawn once for what it shows, and how many are kept.
    THUMBNAILS = Recent.new(400)

    get "/projects/:project_id/sheets/:sheet_id", needs: :see, answers: :page do
      with_project { |project| sheet_page(project, sheet(project), "drawing", scene: scene(project, sheet(project).id)) }
    end

    get "/projects/:project_id/sheets/:sheet_id/reading", needs: :see, answers: :page do
      with_project { |project| sheet_page(project, sheet(project), "reading") }
    end

    get "/projects/:project_id/sheets/:sheet_id/faces/:face", needs: :see, answers: :page do
      with_project do |project|
        Extensions.faces(sheet(project)).any? { |face| face.name == params[:face] } or raise Refusals::NotFound, "face"
        sheet_page(project, sheet(project), params[:face])
      end
    end

    get "/projects/:project_id/sheets/:sheet_id/facts/?:element_id?", needs: :see, answers: :part do
      with_project do |project|
        sheet = sheet(project)
        element = params[:element_id] && project.set.element(id(params[:element_id]))
        element ? facts(project, sheet, element) : sheet_facts(project, sheet)
      end
    end

    get "/projects/:project_id/sheets/:sheet_id/beside", needs: :see, answers: :part do
      with_project { |project| view(:beside, sheet: sheet(project), beside: Presenters::Beside.new(scene(project, sheet(project).id))) }
    end

    get "/projects/:project_id/sheets/:sheet_id/complete", needs: :see, answers: :part do
      with_project { |project| view(:completion, offer: Preview.new(project, sheet(project), params[:statements].to_s, params)) }
    end

    get "/projects/:project_id/sheets/:sheet_id/thumbnail.svg", needs: :see, answers: :file do
      with_project do |project|
        content_type "image/svg+xml"
        id = sheet(project).id
        key = "#{id}-#{project.drawn_at(id)}"
        etag key
        THUMBNAILS.fetch(key) { Drawings::Export.svg(project.set, id) }
      end
    end

    Drawings::Export::TYPES.each_key do |type|
      get "/projects/:project_id/sheets/:sheet_id/export.#{type}", needs: :see, answers: :file do
        with_project do |project|
          chosen = params[:chosen].to_s.empty? ? nil : Acting.chosen(project.set, params)
          wanted = {
            type:,
            ground: params[:ground],
            chosen:,
            paper: { "size" => params[:paper], **params.slice("orientation", "spread") }.compact
          }
          export = SheetExport.new(project, sheet(project).id, **wanted)
          if export.large?
            task = Store::Task.give(project.project_id, "export", { sheet_id: sheet(project).id, **wanted }, by: person)
            next redirect(project_path(project.project_id, "tasks/#{task.id}"))
          end

          content_type export.content_type
          attachment export.name
          export.file(export.svg)
        end
      end
    end

    helped_by :Faces

    # The sheet as a page.
    module Faces
      def sheet_page(project, sheet, face, scene: nil)
        page = Presenters::SheetPage.new(project, sheet, face, scene:)
        afterwards { Store::ProjectSession.for(project.project_id).make_ready(sheet.id) }
        erb(:sheet, locals: { project:, sheet:, page:, beside: panel_list(:beside, project:).reject { |html| html.strip.empty? } })
      end
    end
  end
end
