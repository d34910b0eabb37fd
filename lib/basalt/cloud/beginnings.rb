# frozen_string_literal: true

module Basalt
  module Cloud
    # Structures to begin with: ordinary statements, in which NAME stands for what a person calls it. The files beside this one have a
    # comment in their first line that says what each is for.
    module Beginnings
      FOLDER = File.join(__dir__, "beginnings")
      MARK = "NAME"
      # What may stand before the names: it has to be read as part of them.
      PREFIX = /\A[[:alpha:]][[:alnum:]-]{0,39}\z/

      Beginning =
        Value.of(:name, :words, :text) do
          # @param prefix [String]
          # @return [String] statements
          # @raise [Mistake]
          def statements(prefix)
            unless prefix.match?(PREFIX)
              raise Mistake, "What the names begin with is a letter and then letters, digits or dashes, up to 40, not “#{Model::Names.short(prefix)}”"
            end

            text.gsub(/\b#{MARK}(?=-)/o, prefix)
          end
        end

      module_function

      # @return [Array<Beginning>]
      def all = @all ||= Dir[File.join(FOLDER, "*.basalt")].map { |file| read(file) }.freeze

      # @return [Beginning]
      def fetch(name) = all.find { |one| one.name == name } || raise(Mistake, "no beginning is called “#{Model::Names.short(name.to_s)}”")

      # All that stands on another sheet once more, under names that begin with the prefix.
      #
      # @param draft [Change::Draft]
      # @return [Array<String>] ids of what is new
      def copy(draft, from_id, to_id, prefix)
        there_once = ->(one) { one.name == one.description.default_name(one.noun) || one.description.figure }
        ids = draft.things_on(from_id).reject(&there_once).map(&:id)
        raise Mistake, "Nothing stands on that sheet that could be begun with" if ids.empty?

        patterns = ids.to_h { |id| [id, draft.element(id).name] }
        copy = Change::Duplicate.new(ids:, from: from_id, to: to_id)
        draft.apply(copy)
        patterns.each { |id, name| draft.apply(Change::Set.new(id: copy.made.fetch(id), fact: "name", value: "#{prefix}-#{name}")) }
        copy.made.values_at(*ids)
      end

      def read(file)
        head, text = File.read(file).split("\n", 2)
        Beginning.new(name: File.basename(file, ".basalt"), words: head.delete_prefix("# "), text:)
      end
    end
  end
end
