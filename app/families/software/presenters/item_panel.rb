# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # What can be done with a message, a mark, a fragment or a branch where it stands.
        class ItemPanel
          Interactions = Basalt::Software::Interactions

          def initialize(project:, sheet:, element:)
            @set = project.set
            @sheet = sheet
            @element = element
          end

          def shown? = Interactions::Kinds::ITEMS.include?(@element.kind) && Interactions::Scope::SHEETS.include?(@sheet.notation_name)
          def message? = @element.kind == "message"
          def fragment? = @element.kind == "fragment"
          def joined? = message? && @element["open"].nil? && @element.endpoints.uniq.length == 2
          def branched? = fragment? && Interactions::Kinds::BRANCHED.include?(@element["operator"])
          def another = Interactions::Sentences::BRANCHES[@element["operator"]]

          # @return [String, nil] how the line begins that would answer it
          def likely = @likely ||= message? ? Interactions::Answering.of(@set, @element) : nil

          # @return [Boolean] whether other messages may follow from it
          def causing? = message? && @element["open"] != Interactions::Kinds::LOST && @element["sort"] != Interactions::Kinds::ANSWER
        end
      end
    end
  end
end
