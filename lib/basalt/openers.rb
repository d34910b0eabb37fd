# frozen_string_literal: true

module Basalt
  # The sheets that a family can make for what has none: each an object that answers +name+, +opens?+ of a set and an element,
  # +title+ of an element, and +draw+ in a draft, which returns the id of the sheet.
  module Openers
    module_function

    def all = @all ||= Families.all.flat_map { |family| family.respond_to?(:openers) ? family.openers : [] }.freeze

    # @return [Array<#draw>] those that have a sheet for an element
    def for(set, element) = all.select { |opener| opener.opens?(set, element) }

    # Makes the sheet of each thing, as the first of its openers has it.
    #
    # @param draft [Change::Draft]
    # @param ids [Array<String>] of things
    # @yieldparam sheet_id [String] of each sheet that was made
    # @return [Integer] how many
    def make(draft, ids)
      ids.count do |id|
        element = draft.element(id) or raise Refusals::Gone, "what should open"
        opener = self.for(draft, element).first or next
        yield opener.draw(draft, element)
        true
      end
    end

    # Opens a sheet about an element, which shows these things.
    #
    # @return [String] its id
    def sheet(draft, element, title, notation, showing)
      id = draft.new_id
      draft.apply(
        Change::AddSheet.new(name: Change::SheetTitle.free(draft, title), notation:, id:),
        Change::SetSubject.new(sheet_id: id, element_id: element.id),
        showing.map { |thing| Change::Show.new(sheet_id: id, element_id: thing.id) }
      )
      id
    end
  end
end
