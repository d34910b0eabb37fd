# frozen_string_literal: true

module Basalt
  module Drawing
    # Where everything of a sheet stands, worked out of the model alone: for notations in which a place says something.
    # What is dropped or sized there alters the model, and the places follow.
    class Geometry
      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      # @return [Geometry] of a sheet whose notation rules, as the set is now
      def self.of(set, sheet_id)
        set.derived([self, sheet_id]) { |now, was, altered| now.sheets[sheet_id]&.notation&.geometry(now, sheet_id, was, altered) }
      end

      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      # @param _was [Geometry, nil] of the sheet at another time, of which what still holds can be taken over; not kept
      # @param _altered [Array<Change::Delta>, nil] what was altered since then, where it is known
      def initialize(set, sheet_id, _was = nil, _altered = nil)
        @set = set
        @sheet_id = sheet_id
      end

      # @return [Hash{String => Hash}] by key of a thing +x+, +y+, +w+ and +h+ in px, by id of a line its +route+
      def places = raise(NotImplementedError)

      # @return [Hash{String => Object}] what else of the drawing of a thing follows from the whole, by key, to be compared
      def looks = {}

      # @return [String, nil] kind of what the rows of things stand for, where these are in one order across the things
      def row_kind = nil

      # Where things stand on top of each other, what is dropped on them has them move up or down.
      #
      # @return [Hash] +stacks+ where a thing could be dropped so, +stacked+ where others would have to make room
      def stacking(_thing) = {}

      # @param key [String] of a thing that was dropped
      # @param _x [Numeric] where its left side came to, px
      # @param _y [Numeric] where its top came to, px
      # @return [Array<#apply>] what that means
      # @raise [Mistake] where it means nothing
      def dropped(key, _x, _y) = refuse(key)

      # @param box [Layout::Box] of what was put there before
      # @return [Array(Numeric, Numeric)] upper left corner of what is put there next
      def behind(box) = [box.right, 0]

      # @param row_id [String] of what a row of a thing stands for
      # @param _owner_key [String] of the thing it was dropped on
      # @param _before_id [String, nil] of the row it was dropped in front of
      # @return [Array<#apply>]
      # @raise [Mistake]
      def row_dropped(row_id, _owner_key, _before_id) = refuse(row_id)

      # @param id [String] of a line
      # @param _y [Numeric] where it was drawn to, px
      # @return [Array<#apply>]
      # @raise [Mistake]
      def line_dropped(_id, _y) = raise(Mistake, "a line of #{set.sheets[sheet_id].notation_name} goes from row to row, and no other way")

      # @return [Array<#apply>] what it means that a thing was given a size
      # @raise [Mistake]
      def sized(key, _width, _height) = refuse(key)

      private

      attr_reader :set, :sheet_id

      def refuse(key)
        sheet = set.sheets[sheet_id]
        raise Mistake, "#{set.element(key).name} stands where the #{sheet.notation_name} of the sheet have it; say what is to be otherwise"
      end
    end
  end
end
