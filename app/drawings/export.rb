# frozen_string_literal: true

require "base64"

module Drawings
  # A sheet, or a part of it, as a file.
  module Export
    # The longest side of a picture, in pixels.
    LONGEST = 16_000
    SCALE = 2.0
    GROUNDS = { "paper" => Basalt::Drawing::Pens::PAPER, "white" => "#FFFFFF" }.freeze
    TYPES = { "svg" => "image/svg+xml", "png" => "image/png", "jpg" => "image/jpeg", "pdf" => "application/pdf" }.freeze

    module_function

    # @param set [Basalt::Model::WorkingSet, Basalt::Change::Draft]
    # @param only [Array<String>, nil] ids of the elements to show; nil for the whole sheet
    # @param images [#call] gives an image's address by its id
    # @param ground [String] a key of GROUNDS: what it stands on
    # @param pictures [Boolean] whether small pictures of other sheets are drawn in it
    # @param links [#call, nil] gives the address of a sheet that something opens into, or nil
    # @yieldparam scene [Basalt::Drawing::Scene]
    # @yieldreturn [#items] what is drawn instead, where there is a block
    # @return [String] SVG with its own typefaces
    def svg(set, sheet_id, findings: [], only: nil, images: nil, ground: "paper", pictures: true, links: nil)
      images = pictured(set, images) if pictures
      scene = Basalt::Drawing::Scene.new(set, sheet_id, findings:, images:, links:)
      scene = Basalt::Drawing::Excerpt.new(scene, only) if only
      scene = yield(scene) if block_given?
      reading = only ? "" : Basalt::Statements::Unparser.new(set).sheet(sheet_id).map(&:strip).join(". ")
      on(ground, Basalt::Drawing::SVG.document(scene, description: reading) { |letters| Fonts.rules(letters) })
    end

    # A picture within a picture has none of its own, so that sheets may show each other.
    #
    # @return [#call] gives images, and sheets as images that hold them
    def pictured(set, images)
      sheet = Basalt::Drawing::OpeningSign::PICTURE
      lambda do |id|
        next images&.call(id) unless id.start_with?(sheet)

        drawn = svg(set, id.delete_prefix(sheet), pictures: false)
        "data:image/svg+xml;base64,#{Base64.strict_encode64(drawn)}"
      end
    end

    # What is filled with the paper's colour has that of the ground.
    def on(ground, svg) = ground == "paper" ? svg : svg.gsub(Basalt::Drawing::Pens::PAPER, GROUNDS.fetch(ground))

    # @param type [String] a key of TYPES
    # @return [String] what it stands on where nothing else is asked for
    def usual_ground(type) = type == "pdf" ? "white" : "paper"

    # @param type [String] a key of TYPES
    # @param paper [Paper] for a PDF
    # @param about [Hash] +Title+, +Author+, +Subject+ of a PDF
    # @param ground [String] a key of GROUNDS
    # @return [String] the file's content
    def file(type, svg, paper: Paper.new, mark: "", about: {}, ground: usual_ground(type))
      case type
      when "svg" then svg
      when "pdf" then Print.pdf(svg, paper, mark, about:)
      else Raster.public_send(type, svg, SCALE, LONGEST, ground: GROUNDS.fetch(ground))
      end
    end
  end
end
