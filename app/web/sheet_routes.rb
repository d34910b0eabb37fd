# frozen_string_literal: true

module Web
  # Looking at a sheet: its three faces, the facts of what is selected, and files of it.
  module SheetRoutes
    def self.registered(app)
      app.get("/projects/:project_id/sheets/:sheet_id") do
        at_desk { |desk| erb(:sheet, locals: { desk:, sheet: sheet(desk), face: "drawing" }) }
      end

      app.get("/projects/:project_id/sheets/:sheet_id/reading") do
        at_desk { |desk| erb(:sheet, locals: { desk:, sheet: sheet(desk), face: "reading" }) }
      end

      app.get("/projects/:project_id/sheets/:sheet_id/facts/?:element_id?") do
        at_desk do |desk|
          sheet = sheet(desk)
          element = params[:element_id] && desk.set.element(id(params[:element_id]))
          element ? view(:facts, desk:, sheet:, element:) : view(:sheet_facts, desk:, sheet:)
        end
      end

      app.get("/projects/:project_id/sheets/:sheet_id/beside") do
        at_desk { |desk| view(:beside, sheet: sheet(desk), scene: scene(desk, sheet(desk).id)) }
      end

      app.get("/projects/:project_id/sheets/:sheet_id/complete") do
        at_desk { |desk| view(:completion, offer: Offer.new(desk, sheet(desk), params[:statements].to_s)) }
      end

      app.get("/projects/:project_id/sheets/:sheet_id/thumbnail.svg") do
        at_desk do |desk|
          content_type "image/svg+xml"
          etag "#{sheet(desk).id}-#{desk.set.version}"
          Drawings::Export.svg(desk.set, sheet(desk).id)
        end
      end

      Drawings::Export::TYPES.each do |type, mime|
        app.get("/projects/:project_id/sheets/:sheet_id/export.#{type}") do
          paper = Drawings::Paper.new(size: params[:paper] || "A3", orientation: params[:orientation] || "landscape", spread: params[:spread] || "one")
          svg, sheet = at_desk { |desk| [drawing(desk, sheet(desk)), sheet(desk)] }
          content_type mime
          attachment file_name(sheet, type)
          Drawings::Export.file(type, svg, paper:, mark: [sheet.number, sheet.name, "revision #{sheet.revision}"].compact.join(", "))
        end
      end

      app.helpers(Naming)
    end

    # Files of a sheet, and their names.
    module Naming
      # @return [String] SVG of the sheet, or of what is selected on it
      def drawing(desk, sheet)
        only = params[:chosen].to_s.empty? ? nil : Acting.chosen(desk.set, params)
        Drawings::Export.svg(desk.set, sheet.id, findings: desk.findings_on(sheet.id), only:, images: Pictures.embedded(desk.project_id))
      end

      def file_name(sheet, type)
        "#{[sheet.number, sheet.name].join(' ').unicode_normalize(:nfd).gsub(/[^A-Za-z0-9 .-]/, '').strip.gsub(/\s+/, '-')}.#{type}"
      end
    end
  end
end
