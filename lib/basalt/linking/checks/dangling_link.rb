# frozen_string_literal: true

module Basalt
  module Linking
    module Checks
      # An element that opened into a sheet which was taken away.
      class DanglingLink < Basalt::Checks::Check
        rule "dangling-link", :warning, reads: %w[opening sheet], wide: false

        def findings
          set.links.each.select(&:dangling?).sort_by(&:ordinal).filter_map do |link|
            element = set.element(link.element_id) or next
            finding(
              element.id,
              "#{element.name} opened into “#{link.lost}”, which is not there any more",
              "Whoever follows the drawing down comes to nothing here.",
              repair: mended(link)
            )
          end
        end

        private

        # A sheet of that title may be there again.
        def mended(link)
          sheet = set.sheets.by(:name, link.lost).first
          gone = Change::Unlink.new(id: link.id)
          return repair("Take the link away", gone) unless sheet

          repair("Link it with “#{sheet.name}”", gone, Change::Link.new(element_id: link.element_id, sheet_id: sheet.id, title: link.title))
        end
      end
    end
  end
end
