# frozen_string_literal: true

module Basalt
  module Linking
    # What is said of links: +R1 opens into R1 elevation, as rack elevation+; and of those whose sheet is gone, +R1 opened into ...+.
    module Sentences
      module_function

      def sheet(context, said) = context.draft.sheets.by(:name, said[:sheet].to_str).first

      def link(context, said)
        context.draft.apply(
          Change::Link.new(element_id: said[:thing].id, sheet_id: sheet(context, said).id, title: said[:title]&.to_str)
        )
      end

      # What the sheet is about opens into it without a link.
      def unlink(context, said)
        sheet = sheet(context, said)
        link = context.draft.links_of(said[:thing].id).find { |one| one.sheet_id == sheet.id }
        raise Mistake, not_linked(said[:thing], sheet) unless link

        context.draft.apply(Change::Unlink.new(id: link.id))
      end

      def not_linked(thing, sheet)
        about = sheet.subject_id == thing.id
        "#{about ? "“#{sheet.name}” is about #{thing.name}, and opens so" : "#{thing.name} does not open into “#{sheet.name}”"}"
      end

      def keep_lost(context, said)
        context.draft.apply(
          Change::KeepLostLink.new(element_id: said[:thing].id, lost: said[:lost].to_str, title: said[:title]&.to_str)
        )
      end

      def drop_lost(context, said)
        lost = Model::Names.clean(said[:lost].to_str)
        context.draft.links_of(said[:thing].id).select { |link| link.lost == lost }
          .each { |link| context.draft.apply(Change::Unlink.new(id: link.id)) }
      end

      # @return [Array<String>]
      def told(unparser, thing)
        return [] unless unparser.set.links.any_by?(:element, thing.id)

        unparser.set.links_of(thing.id).map do |link|
          sheet = link.dangling? ? link.lost : unparser.set.sheets[link.sheet_id].name
          title = link.title ? [:comma, "as", unparser.name(link.title)] : []
          unparser.say(unparser.thing(thing.id), link.dangling? ? "opened into" : "opens into", unparser.name(sheet), *title)
        end
      end

      FORMS = [
        Statements::Form.new(
          "<thing:thing> opens into <sheet:sheet> [, as <title:name>]",
          retract: ->(context, said, _) { unlink(context, said) }
        ) { |context, said| link(context, said) },
        Statements::Form.new("<thing:thing> no longer opens into <sheet:sheet>") { |context, said| unlink(context, said) },
        Statements::Form.new(
          "<thing:thing> opened into <lost:new> [, as <title:name>]",
          retract: ->(context, said, _) { drop_lost(context, said) }
        ) { |context, said| keep_lost(context, said) }
      ].freeze
    end
  end
end
