# frozen_string_literal: true

module Web
  # A sheet, or what is chosen on it, as a file.
  class SheetExport
    # @param type [String] a key of Drawings::Export::TYPES
    # @param ground [String, nil] what it stands on; the usual where nothing, or nothing known, is said
    # @param chosen [Array<String>, nil] ids of elements; nil for the whole sheet
    # @param paper [Hash{String => String}] +size+, +orientation+ and +spread+ of a PDF
    # @raise [Basalt::Mistake] when there is no such paper
    def initialize(project, sheet_id, type:, ground: nil, chosen: nil, paper: {})
      @project = project
      @sheet = project.set.sheets[sheet_id] or raise Basalt::Refusals::Gone, "The sheet"
      @type = type
      @ground = Drawings::Export::GROUNDS.key?(ground) ? ground : Drawings::Export.usual_ground(type)
      @chosen = chosen
      @paper =
        Drawings::Paper.new(
          size: paper["size"] || "A3",
          orientation: paper["orientation"] || "landscape",
          spread: paper["spread"] || "one"
        )
    end

    def content_type = Drawings::Export::TYPES.fetch(@type)

    def name = Drawings::FileName.of(@sheet, @type)

    # @return [Boolean] whether it takes longer than anybody waits
    def large? = @project.contents(@sheet.id).size > ExportWork::LARGE

    def svg
      Drawings::Export.svg(
        @project.set,
        @sheet.id,
        findings: @project.findings_on(@sheet.id),
        only: @chosen,
        images: Pictures.embedded(@project.project_id),
        ground: @ground
      )
    end

    # @return [String] the content
    def file(svg)
      about = {
        Title: "#{@sheet.number} #{@sheet.name}",
        Author: @sheet.drawn_by,
        Subject: "#{@project.set.project}, #{@sheet.notation_name}, revision #{@sheet.revision}"
      }
      Drawings::Export.file(
        @type,
        svg,
        paper: @paper,
        mark: [@sheet.number, @sheet.name, "revision #{@sheet.revision}"].compact.join(", "),
        about:,
        ground: @ground
      )
    end
  end
end
