# frozen_string_literal: true

module Basalt
  # What can be put on any sheet beside its notation: captions, divides and pictures; and symbols of a person's own.
  module Annotation
    # What this family adds to the base.
    module Family
      FIELD = Model::Field

      KINDS = [
        Model::Kind.new(
          name: "caption",
          plural: "captions",
          nouns: {
            "caption" => {}
          },
          brief: ["text"],
          figure: CaptionFigure.new,
          chips: [%w[caption t]],
          fields: [FIELD.new(name: "text", type: :text)]
        ),
        Model::Kind.new(
          name: "divide",
          plural: "divides",
          nouns: {
            "divide" => {}
          },
          brief: %w[before beyond],
          figure: DivideFigure.new,
          chips: [%w[divide d]],
          fields: [FIELD.new(name: "before", type: :text), FIELD.new(name: "beyond", type: :text), FIELD.new(name: "level", type: :flag)]
        ),
        Model::Kind.new(
          name: "picture",
          plural: "pictures",
          nouns: {
            "picture" => {}
          },
          figure: PictureFigure.new,
          fields: [FIELD.new(name: "image", type: :word)]
        ),
        Model::Kind.new(
          name: "group",
          plural: "groups",
          nouns: {
            "group" => {}
          },
          figure: GroupFigure.new,
          fields: [FIELD.new(name: "meaning", type: :text)]
        ),
        Model::Kind.new(name: Membership::KIND, plural: "memberships", ends: { "member" => Model::Kind::ANYTHING, "group" => ["group"] }),
        Model::Kind.new(
          name: Drawing::Symbols::KIND,
          plural: "symbols",
          nouns: {
            "symbol" => {}
          },
          fields: [FIELD.new(name: "image", type: :word), FIELD.new(name: "stands_for", type: :text, label: "stands for")]
        ),
        Model::Kind.new(
          name: Drawing::Symbols::USE,
          plural: "symbol uses",
          ends: {
            "thing" => Model::Kind::ANYTHING,
            "symbol" => [Drawing::Symbols::KIND]
          }
        )
      ].freeze

      DRAWN_AS =
        Statements::Form.new("<thing:thing> is drawn as <symbol:thing(symbol)>") do |context, said|
          context.draft.apply(Drawing::Symbols.giving(context.draft, said[:thing], said[:symbol].id))
        end

      BELONGING =
        Statements::Form.new("<members:things> belong|belongs to <group:thing(group)>", late: true) do |context, said|
          Membership.say(context, said)
        end

      module_function

      def kinds = KINDS
      def notations = []
      def forms = [DRAWN_AS, BELONGING]
      def told = [Membership::KIND]

      def unparsers =
        {
          Membership::KIND => ->(unparser, one) do
            [unparser.say(unparser.thing(one.target("member")), "belongs to", unparser.thing(one.target("group")))]
          end,
          Drawing::Symbols::USE => ->(unparser, use) do
            [unparser.say(unparser.thing(use.target("thing")), "is drawn as", unparser.thing(use.target("symbol")))]
          end
        }

      def slots = {}
      def checks = []

      def qualities
        [
          Statements::Quality.new("caption", "says <text:word>"),
          Statements::Quality.new("divide", "before <before:word>"),
          Statements::Quality.new("divide", "beyond <beyond:word>"),
          Statements::Quality.new("divide", "level", fact: "level"),
          Statements::Quality.new("picture", "image <image:word>"),
          Statements::Quality.new("symbol", "image <image:word>"),
          Statements::Quality.new("symbol", "stands for <stands_for:word>"),
          Statements::Quality.new("group", "meaning <meaning:words>")
        ]
      end
    end
  end
end
