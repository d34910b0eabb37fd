# frozen_string_literal: true

module Store
  # An inventory on its way in.
  class Intake < ActiveRecord::Base
    self.table_name = "intakes"

    def table = Basalt::Formats::CSV.new(content)
    def finished? = %w[done refused cancelled].include?(state)
  end
end
