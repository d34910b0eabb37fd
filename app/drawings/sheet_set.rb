# frozen_string_literal: true

require "combine_pdf"
require "zip"

module Drawings
  # Several sheets as one file, in which what opens into another of them leads there: a zip of SVG files, or one PDF.
  class SheetSet
    TYPES = { "zip" => "application/zip", "pdf" => "application/pdf" }.freeze
    # Addresses that stand in a page for other pages until these are there; the name resolves nowhere (RFC 2606).
    ADDRESS = "https://sheet.invalid/"

    # @param set [Basalt::Model::PinnedSet, Basalt::Change::Draft] arranged
    # @param sheets [Array<Basalt::Model::Sheet>] in the order of the pages
    # @param findings [Array<Basalt::Checks::Finding>]
    # @param images [#call, nil] (see Export.svg)
    # @param ground [String] a key of Export::GROUNDS
    def initialize(set, sheets, findings: [], images: nil, ground: "white")
      @set = set
      @sheets = sheets
      @findings = findings
      @images = images
      @ground = ground
    end

    # @yieldparam done [Integer] sheets so far
    # @return [String] the zip
    def zip
      names = FileName.among(@sheets, "svg")
      buffer = Zip::OutputStream.write_buffer do |out|
        @sheets.each.with_index(1) do |sheet, done|
          out.put_next_entry(names.fetch(sheet.id))
          out.write(svg(sheet) { |other| names[other.id] })
          yield done if block_given?
        end
      end
      buffer.string
    end

    # @param paper [Paper] of every page
    # @param about [Hash] (see Print.pdf)
    # @yieldparam done [Integer] sheets so far
    # @return [String] the PDF
    def pdf(paper: Paper.new, about: {})
      whole = CombinePDF.new
      ids = @sheets.to_set(&:id)
      firsts = {}
      @sheets.each.with_index(1) do |sheet, done|
        drawn = svg(sheet) { |other| ADDRESS + other.id if ids.include?(other.id) }
        pages = CombinePDF.parse(Print.pdf(drawn, paper, [sheet.number, sheet.name].compact.join(", ")))
        firsts[sheet.id] = whole.pages.length
        whole << pages
        yield done if block_given?
      end
      lead(whole, firsts)
      Print.told(whole.to_pdf, about)
    end

    private

    def svg(sheet, &links)
      Export.svg(@set, sheet.id, findings: @findings, images: @images, ground: @ground, links:)
    end

    # What led to the address of a sheet leads to its first page (ISO 32000-1, 12.6.4.2).
    def lead(whole, firsts)
      pages = whole.pages
      pages.flat_map { |page| Array(page[:Annots]) }.each do |reference|
        annotation = reference[:referenced_object] || reference
        address = annotation.dig(:A, :URI).to_s
        first = address.start_with?(ADDRESS) && firsts[address.delete_prefix(ADDRESS)] or next
        annotation[:A] = { Type: :Action, S: :GoTo, D: [{ is_reference_only: true, referenced_object: pages[first] }, :Fit] }
      end
    end
  end
end
