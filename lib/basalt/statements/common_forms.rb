# frozen_string_literal: true

module Basalt
  module Statements
    # The sentences that every family shares.
    module CommonForms
      SHEET_FACTS = {
        "number" => :number,
        "revision" => :revision,
        "status" => :status,
        "drawn by" => :drawn_by,
        "dated" => :dated
      }.freeze

      LEVELS =
        Model::Sheet::BANDS.map do |band|
          Quality.new(
            "sheet",
            "level #{band}",
            take: ->(context, sheet, _) { context.draft.apply(Change::SetSheet.new(id: sheet.id, fact: :band, value: band)) },
            tell: ->(_teller, sheet) { sheet.band == band && band != sheet.notation.band ? [["level #{band}"]] : [] }
          )
        end

      VIEWS = { "labels hidden" => "labels", "parallels folded" => "parallels", "pictures shown" => "pictures",
                "numbers shown" => "numbers", "signs shown" => "signs" }.freeze

      ALL = [
        Form.new("project <name:name>") { |context, said| context.draft.name_project(said[:name]) },
        Form.new("sheet <name:new> : <notation:notation> {sheet}") do |context, said|
          context.sheet_id = OpenSheet.of(context, said[:name], said[:notation])
          context.qualify(context.sheet, said)
          context.sheet.notation.begun(context.draft, context.sheet)
        end,
        Form.new(
          "note on <thing:anything> : <text:text>",
          late: true,
          retract: ->(context, said, _) { context.set(said[:thing].id, "note", nil) }
        ) { |context, said| context.set(said[:thing].id, "note", said[:text]) },
        Form.new("remove <thing:anything>") { |context, said| context.draft.apply(Change::Remove.new(id: said[:thing].id)) },
        Form.new("take <thing:thing> off") { |context, said| OnSheet.take_off(context, said[:thing]) },
        Form.new("rename <thing:thing> to <name:name>") { |context, said| context.set(said[:thing].id, "name", said[:name]) },
        Form.new(
          "<thing:anything> is assumed",
          late: true,
          retract: ->(context, said, _) { context.set(said[:thing].id, "assumed", nil) }
        ) { |context, said| context.set(said[:thing].id, "assumed", true) },
        Form.new(
          "<thing:thing> is emphasised as <emphasis:name>",
          retract: ->(context, said, _) { OnSheet.emphasise(context, said[:thing], nil) }
        ) { |context, said| OnSheet.emphasise(context, said[:thing], said[:emphasis]) },
        Form.new(
          "<thing:thing> is collapsed",
          retract: ->(context, said, _) { OnSheet.collapse(context, said[:thing], false) }
        ) { |context, said| OnSheet.collapse(context, said[:thing], true) },
        Form.new("<thing:anything> is confirmed", late: true) { |context, said| context.set(said[:thing].id, "assumed", nil) }
      ].freeze

      # The first two say what the following belongs to.
      OPENINGS = ALL.first(2).freeze

      SAID =
        SHEET_FACTS.map do |words, fact|
          Quality.new(
            "sheet",
            "#{words} <value:word>",
            take: ->(context, sheet, said) { context.draft.apply(Change::SetSheet.new(id: sheet.id, fact:, value: said[:value])) },
            tell: ->(unparser, sheet) { sheet[fact] ? [[words, unparser.word(sheet[fact])]] : [] }
          )
        end
      SHOWN =
        VIEWS.map do |words, part|
          Quality.new(
            "sheet",
            words,
            take: ->(context, sheet, _) { context.draft.apply(Change::SetView.new(sheet_id: sheet.id, part:, on: true)) },
            tell: ->(_teller, sheet) { sheet.view&.fetch(part, nil) ? [[words]] : [] }
          )
        end
      LAID_OUT =
        Drawing::LayoutStyle::ALL.map do |style, words|
          Quality.new(
            "sheet",
            "laid out #{words}",
            take: ->(context, sheet, _) { context.draft.apply(Change::SetLayoutStyle.new(sheet_id: sheet.id, style:)) },
            tell: ->(_teller, sheet) { sheet.layout_style == style ? [["laid out #{words}"]] : [] }
          )
        end
      DRAWN =
        Quality.new(
          "sheet",
          "drawn with <variant:word>",
          take: ->(context, sheet, said) { context.draft.apply(Change::SetVariant.new(sheet_id: sheet.id, variant: said[:variant])) },
          tell: ->(unparser, sheet) { sheet.variant ? [["drawn with", unparser.word(sheet.variant)]] : [] }
        )
      ABOUT =
        Quality.new(
          "sheet",
          "about <subject:thing>",
          take: ->(context, sheet, said) do
            context.draft.apply(Change::SetSubject.new(sheet_id: sheet.id, element_id: said[:subject].id))
          end,
          tell: ->(unparser, sheet) do
            told = sheet.subject_id && sheet.notation.own_subject(unparser.set, sheet) != sheet.subject_id
            told ? [["about", unparser.thing(sheet.subject_id)]] : []
          end
        )
      QUALITIES = ([ABOUT, DRAWN] + LEVELS + SAID + SHOWN + LAID_OUT).freeze
    end
  end
end
