# frozen_string_literal: true

module Basalt
  module Change
    # What a link is called; nil or nothing for the title of its sheet.
    SetLinkTitle = Value.of(:id, :title) do
      def apply(draft)
        link = draft.links[id] or raise Refusals::Gone, "the link"
        named = title.to_s.strip.empty? ? nil : Model::Names.clean(title)
        draft.put(:links, link.with(title: named)) unless link.title == named
      end
    end
  end
end
