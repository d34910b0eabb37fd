# frozen_string_literal: true

module Web
  # Looking at a sheet: its three faces, the facts of what is selected, and files of it.
  module SheetRoutes
    extend Routing

    # Small pictures, each drawn once for what it shows, and how many are kept.
    THUMBNAILS = Recent.new(400)

    get "/projects/:project_id/sheets/:sheet_id", needs: :see, answers: :page do
      with_project { |project| erb(:sheet, locals: { project:, sheet: sheet(project), face: "drawing" }) }
    end

    get "/projects/:project_id/sheets/:sheet_id/reading", needs: :see, answers: :page do
      with_project { |project| erb(:sheet, locals: { project:, sheet: sheet(project), face: "reading" }) }
    end

    get "/projects/:project_id/sheets/:sheet_id/facts/?:element_id?", needs: :see, answers: :part do
      with_project do |project|
        sheet = sheet(project)
        element = params[:element_id] && project.set.element(id(params[:element_id]))
        element ? view(:facts, project:, sheet:, element:) : view(:sheet_facts, project:, sheet:)
      end
    end

    get "/projects/:project_id/sheets/:sheet_id/beside", needs: :see, answers: :part do
      with_project { |project| view(:beside, sheet: sheet(project), scene: scene(project, sheet(project).id)) }
    end

    get "/projects/:project_id/sheets/:sheet_id/complete", needs: :see, answers: :part do
      with_project { |project| view(:completion, offer: Preview.new(project, sheet(project), params[:statements].to_s)) }
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

    helped_by :Chips

    # What the page knows of the kinds that can be placed, so that it need not ask.
    module Chips
      # @return [Array<Array(String, String, String)>] noun, letter, and what its button carries as data
      def chips(project, sheet)
        draft = Basalt::Change::Draft.new(project.set)
        sheet.notation.chips.map do |noun, letter|
          kind, facts = Basalt::Model::Catalogue.nouns.fetch(noun)
          named = kind.default_name(noun)
          data = { kind: kind.name, facts: JSON.generate(facts), size: size(draft, sheet, kind, facts).join(" "), named: }.compact
          [noun, letter, data.map { |name, value| "data-#{name}=\"#{h(value)}\"" }.join(" ")]
        end
      end

      # Kinds whose names and facts are edited where they stand.
      def inplace_kinds(sheet) =
        (sheet.notation.things + sheet.notation.lines).uniq.reject { |kind| Basalt::Model::Catalogue.kind(kind).figure }

      private

      # How large a new one of a kind is, px.
      def size(draft, sheet, kind, facts)
        fresh = Basalt::Model::Element.new(id: draft.new_id, kind: kind.name, name: "", facts:, ends: [], ordinal: 0)
        sheet.notation.size(draft, fresh).map(&:round)
      end
    end
  end
end
