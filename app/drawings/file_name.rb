# frozen_string_literal: true

module Drawings
  # What files of sheets are called, in letters that every system takes.
  module FileName
    module_function

    # @param sheet [Basalt::Model::Sheet]
    # @param type [String] the ending
    # @return [String] such as +TW-P-03-Comms-Room-floor.svg+
    def of(sheet, type) = "#{plain([sheet.number, sheet.name].compact.join(" "))}.#{type}"

    # @return [String]
    def plain(words) = words.unicode_normalize(:nfd).gsub(/[^A-Za-z0-9 .-]/, "").strip.gsub(/\s+/, "-")

    # @param sheets [Array<Basalt::Model::Sheet>]
    # @return [Hash{String => String}] a name for each by its id, no two alike
    def among(sheets, type)
      taken = Hash.new(0)
      sheets.to_h do |sheet|
        name = of(sheet, type)
        times = (taken[name.downcase] += 1)
        [sheet.id, times == 1 ? name : name.sub(/(?=\.\w+\z)/, "-#{times}")]
      end
    end
  end
end
