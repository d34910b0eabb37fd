# frozen_string_literal: true

module Basalt
  module Statements
    # The sentences that every family shares.
    module CommonForms
      SHEET_FACTS = { "number" => :number, "revision" => :revision, "status" => :status, "drawn by" => :drawn_by, "dated" => :dated }.freeze

      ALL = [
        Form.new("project <name:name>") { |context, said| context.draft.name_project(said[:name]) },
        Form.new("sheet <name:new> : <notation:notation> {sheet}") do |context, said|
          context.sheet_id = Opening.of(context, said[:name], said[:notation])
          context.qualify(context.sheet, said)
        end,
        Form.new("note on <thing:thing> : <text:text>", unsay: ->(context, said, _) { context.set(said[:thing].id, "note", nil) }) { |context, said| context.set(said[:thing].id, "note", said[:text]) },
        Form.new("remove <thing:thing>") { |context, said| context.draft.apply(Change::Remove.new(id: said[:thing].id)) },
        Form.new("take <thing:thing> off") do |context, said|
          raise Mistake, "only a sheet has something to take off it" unless context.sheet_id

          context.draft.apply(Change::TakeOff.new(sheet_id: context.sheet_id, element_id: said[:thing].id))
        end,
        Form.new("rename <thing:thing> to <name:name>") { |context, said| context.set(said[:thing].id, "name", said[:name]) },
        Form.new("<thing:thing> is assumed", unsay: ->(context, said, _) { context.set(said[:thing].id, "assumed", nil) }) { |context, said| context.set(said[:thing].id, "assumed", true) },
        Form.new("<thing:thing> is emphasised as <emphasis:name>", unsay: ->(context, said, _) { context.draft.apply(Change::Emphasise.new(sheet_id: context.sheet_id, element_id: said[:thing].id)) }) do |context, said|
          raise Mistake, "only on a sheet something can be emphasised" unless context.sheet_id

          context.draft.apply(Change::Emphasise.new(sheet_id: context.sheet_id, element_id: said[:thing].id, name: said[:emphasis]))
        end,
        Form.new("<thing:thing> is confirmed") { |context, said| context.set(said[:thing].id, "assumed", nil) }
      ].freeze

      # The first two say what the following belongs to.
      OPENINGS = ALL.first(2).freeze

      QUALITIES = SHEET_FACTS.map do |words, fact|
        Quality.new("sheet", "#{words} <value:word>",
                    take: ->(context, sheet, said) { context.draft.apply(Change::SetSheet.new(id: sheet.id, fact:, value: said[:value])) },
                    tell: ->(teller, sheet) { sheet[fact] ? [[words, teller.word(sheet[fact])]] : [] })
      end.freeze
    end
  end
end
