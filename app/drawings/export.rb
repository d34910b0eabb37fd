# frozen_string_literal: true

module Drawings
  # A sheet, or a part of it, as a file.
  module Export
    # The longest side of a picture, in pixels.
    LONGEST = 16_000
    SCALE = 2.0
    TYPES = { "svg" => "image/svg+xml", "png" => "image/png", "jpg" => "image/jpeg", "pdf" => "application/pdf" }.freeze

    module_function

    # @param set [Basalt::Model::WorkingSet, Basalt::Change::Draft]
    # @param only [Array<String>, nil] ids of the elements to show; nil for the whole sheet
    # @param images [#call] gives an image's address by its id
    # @return [String] SVG with its own typefaces
    def svg(set, sheet_id, findings: [], only: nil, images: nil)
      scene = Basalt::Drawing::Scene.new(set, sheet_id, findings:, images:)
      scene = Basalt::Drawing::Excerpt.new(scene, only) if only
      bare = Basalt::Drawing::SVG.document(scene, description: "")
      reading = only ? "" : Basalt::Statements::Teller.new(set).sheet(sheet_id).join(". ")
      Basalt::Drawing::SVG.document(scene, description: reading, faces: Fonts.rules(bare.scan(/>([^<]+)</).join.chars.uniq))
    end

    # @param type [String] a key of TYPES
    # @param paper [Paper] for a PDF
    # @return [String] the file's content
    def file(type, svg, paper: Paper.new, mark: "")
      case type
      when "svg" then svg
      when "pdf" then Print.pdf(svg, paper, mark)
      else Raster.public_send(type, svg, SCALE, LONGEST)
      end
    end
  end
end
