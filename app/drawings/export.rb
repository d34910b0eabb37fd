# frozen_string_literal: true

module Drawings
  # A sheet as a file.
  module Export
    # The longest side of a picture, in pixels.
    LONGEST = 16_000
    SCALE = 2.0

    # A picture that cannot be made.
    class TooLarge < Basalt::Mistake; end

    module_function

    # @param set [Basalt::Model::WorkingSet]
    # @return [String] SVG with its own typefaces
    def svg(set, sheet_id, findings: [])
      scene = Basalt::Drawing::Scene.new(set, sheet_id, findings:)
      bare = Basalt::Drawing::SVG.document(scene, description: "")
      reading = Basalt::Statements::Teller.new(set).sheet(sheet_id).join(". ")
      Basalt::Drawing::SVG.document(scene, description: reading, faces: Fonts.rules(bare.scan(/>([^<]+)</).join.chars.uniq))
    end

    # @return [String] PNG, of the same layout
    def png(set, sheet_id, findings: [], scale: SCALE)
      Raster.png(svg(set, sheet_id, findings:), scale, LONGEST)
    end
  end
end
