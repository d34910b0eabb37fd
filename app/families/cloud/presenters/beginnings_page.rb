# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Presenters
        # What a cloud sheet can begin with: structures that come along, and the project's own sheets.
        class BeginningsPage
          def initialize(set, sheet)
            @set = set
            @sheet = sheet
          end

          # @return [Array<Basalt::Cloud::Beginnings::Beginning>]
          def all = Basalt::Cloud::Beginnings.all

          # @return [Array<Basalt::Model::Sheet>]
          def own = @set.sheet_list.select { |one| one.notation_name == @sheet.notation_name && one.id != @sheet.id }
        end
      end
    end
  end
end
