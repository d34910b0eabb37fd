# frozen_string_literal: true

module Basalt
  module Model
    # That an element opens into a sheet, with what that is called there. Where the sheet was taken away, +lost+ is what it was
    # called. A sheet that is about an element opens it without one.
    Link = Value.of(:id, :element_id, :sheet_id, :title, :lost, :ordinal) { def dangling? = sheet_id.nil? }
  end
end
