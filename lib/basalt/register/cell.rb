# frozen_string_literal: true

module Basalt
  module Register
    # One cell: what it says of an element, and the change that a text in it stands for.
    class Cell
      def initialize(set, sheet, column)
        @set = set
        @sheet = sheet
        @column = column
      end

      # @return [String]
      def text(element)
        case @column.key
        when "name"
          element.name.to_s
        when Columns::OWNER
          @set.element(element.owner_id)&.name.to_s
        when "container"
          place(element)
        when "assumed"
          element.assumed ? "yes" : ""
        when element.description.ordered || :none
          places(element)[element.id].to_s
        when /\Aend /
          open?(element) ? "" : spoken(@set.element(joined(element).target_id))
        else
          @column.role ? joined(element).facts[@column.fact.name].to_s : shown(element[@column.key])
        end
      end

      # @param text [String] as typed
      # @return [#apply]
      # @raise [Mistake] saying what is wrong with it
      def change(element, text)
        return Change::Own.new(id: element.id, owner_id: reference(text).id) if @column.key == Columns::OWNER
        if end?
          return (
            Change::Rejoin.new(
              id: element.id,
              role: @column.role,
              target_id: text.empty? && left_open?(element) ? element.ends.first.target_id : reference(text).id
            )
          )
        end
        if @column.key == element.description.ordered
          return Change::Reorder.new(ids: siblings(element), id: element.id, place: @column.fact.read(text) || siblings(element).length)
        end
        if @column.role
          return Change::SetEnd.new(id: element.id, role: @column.role, facts: { @column.fact.name => @column.fact.read(text) })
        end
        return contained(element, text.empty? ? nil : reference(text).id) if @column.reference?
        return Change::Set.new(id: element.id, fact: "assumed", value: flag(text)) if @column.key == "assumed"

        fact(element, text)
      end

      # @return [Model::Element] the one of that name, those on the sheet before others
      def reference(text)
        name = text.strip
        context = Statements::Context.new(@set, sheet_id: @sheet.id)
        found = context.find(name, @column.kinds).select { |one| one.description.local.nil? || @set.shown?(@sheet.id, one.id) }
        found = [Statements::AnythingSlot.find(context, name, @column.kinds)].compact if found.empty? && !name.empty?
        found += unnamed(name) if found.empty?
        found << made(name) if found.empty? && @column.makes && !name.empty?
        raise Model::BadFact, "nothing is called “#{Model::Names.short(name)}”#{nearest(name)}" if found.empty?
        raise Model::BadFact, "there are #{found.length} called “#{name}”: #{told_apart(context, found)}" if found.length > 1

        found.first
      end

      private

      # Parts by their path, relations by the words that state them.
      def spoken(element)
        return "" unless element
        return Statements::Path.new(@set).of(element).first || element.name.to_s if element.owner_id

        if element.relation? && element.name.nil?
          (@unparser ||= Statements::Unparser.new(@set)).tell(element).first.to_s
        else
          element.name.to_s
        end
      end

      def told_apart(context, found)
        return "say it as a statement" unless found.all?(&:owner_id)

        "say #{found.first(4).map { |element| context.qualified(element) }.join(" or ")}"
      end

      def made(name)
        kind = Model::Catalogue.kind(@column.makes)
        element = Change::Add.new(kind: kind.name, name:, facts: kind.role ? kind.nouns.values.last : {}).apply(@set)
        Change::Show.new(sheet_id: @sheet.id, element_id: element.id).apply(@set)
        element
      end

      def end? = @column.reference? && !@column.role.nil?
      def left_open?(element) = element.description.open_end == @column.role
      def open?(element) = left_open?(element) && joined(element).target_id == element.ends.first.target_id

      # Those of its kind on the sheet, in order.
      def siblings(element)
        alike = @sheet.notation.lines_on(@set, @sheet.id).select { |one| one.kind == element.kind }
        alike.sort_by { |one| [Change::Reorder.key(one), one.ordinal] }.map(&:id)
      end

      # @return [Hash{String => Integer}] the places of what is in order, by id
      def places(element) = @places ||= siblings(element).each_with_index.to_h { |id, index| [id, index + 1] }

      def contained(element, id)
        if element.description.moving
          element.description.moving.new(id: element.id, container_id: id)
        else
          Change::Set.new(id: element.id, fact: "container", value: id)
        end
      end

      def fact(element, text)
        raise Model::BadFact, "what is worked out cannot be written over" unless @column.writable?

        whole = @column.key == "name" ? text : @sheet.notation.completed(@set, element, @column.key, text)
        Change::Set.new(id: element.id, fact: @column.key, value: whole.to_s.empty? && @column.key != "name" ? nil : whole)
      end

      def unnamed(noun) =
        if Model::Catalogue.nouns[noun]
          @set.named(Model::Catalogue.nouns[noun][0].default_name(noun).to_s).select { |e| @column.kinds.include?(e.kind) }
        else
          []
        end

      def joined(element) = element.ends.find { |one| one.role == @column.role }
      def place(element) = element.container_id ? @set.element(element.container_id)&.name.to_s : ""
      def shown(value) = value == true ? "yes" : value.to_s
      def flag(text) = Model::FieldTypes::ALL.fetch(:flag).call(@column, text.empty? ? "no" : text)

      def nearest(name)
        close = Model::Names.nearest(name, @set.of_kind(*@column.kinds).filter_map(&:name))
        close ? "; did you mean “#{close}”?" : ""
      end
    end
  end
end
