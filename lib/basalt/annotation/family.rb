# frozen_string_literal: true

module Basalt
  # What can be put on any sheet beside its notation: captions, divides and pictures.
  module Annotation
    # What this family adds to the base.
    module Family
      FIELD = Model::Field

      KINDS = [
        Model::Kind.new(name: "caption", plural: "captions", nouns: { "caption" => {} }, brief: ["text"], figure: CaptionFigure.new, chips: [%w[caption t]],
                        fields: [FIELD.new(name: "text", type: :text)]),
        Model::Kind.new(name: "divide", plural: "divides", nouns: { "divide" => {} }, brief: %w[before beyond], figure: DivideFigure.new, chips: [%w[divide d]],
                        fields: [FIELD.new(name: "before", type: :text), FIELD.new(name: "beyond", type: :text), FIELD.new(name: "level", type: :flag)]),
        Model::Kind.new(name: "picture", plural: "pictures", nouns: { "picture" => {} }, figure: PictureFigure.new, fields: [FIELD.new(name: "image", type: :word)])
      ].freeze

      module_function

      def kinds = KINDS
      def notations = []
      def forms = []
      def tellings = {}
      def slots = {}
      def checks = []

      def qualities
        [Statements::Quality.new("caption", "says <text:word>"), Statements::Quality.new("divide", "before <before:word>"),
         Statements::Quality.new("divide", "beyond <beyond:word>"), Statements::Quality.new("divide", "level", fact: "level"),
         Statements::Quality.new("picture", "image <image:word>")]
      end
    end
  end
end
