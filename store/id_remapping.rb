# frozen_string_literal: true

module Store
  # A document's rows with ids of their own, so that a project can be there twice.
  class IdRemapping
    # Texts with ids among other words, parted by slashes.
    THREADS = %w[thread as_decided].freeze
    COLUMNS = %w[id sheet_id element_id owner_id container_id target_id subject_id].freeze

    # @param document [Basalt::Formats::ProjectDocument]
    def initialize(document)
      @document = document
      @ids = Hash.new { |hash, id| hash[id] = SecureRandom.uuid }
    end

    def name = @document.name || "Project"

    # @return [Basalt::Change::Effect] that makes every row
    def effect
      set = @document.set
      Basalt::Change::Effect.new(deltas: Basalt::Model::RowTypes::ALL.flat_map do |table, type|
        set.table(table).each.map { |row| Basalt::Change::Delta.new(table:, id: @ids[row.id], before: nil, after: renumber(row, type)) }
      end)
    end

    def images = @document.extras.images.map { |row| row.merge("id" => @ids[row["id"]]) }

    def texts = @document.extras.texts.map { |row| row.merge("source_id" => @ids[row["source_id"]]) }

    def journal
      @document.extras.journal.map do |entry|
        entry.merge("sheet_id" => entry["sheet_id"] && @ids[entry["sheet_id"]], "deltas" => entry["deltas"].map { |delta| plain(delta) })
      end
    end

    private

    def renumber(row, type) = type.load(plain(JSON.parse(type.dump(row).to_json)))

    def plain(hash)
      hash.to_h do |key, value|
        next [key, @ids[value]] if COLUMNS.include?(key) && value.is_a?(String)
        next [key, named(value)] if key == "finding"
        next [key, value.transform_values { |id| @ids[id] }] if key == "at" && value.is_a?(Hash)
        next [key, thread(value)] if THREADS.include?(key) && value.is_a?(String)

        [key, nested(value)]
      end
    end

    def nested(value)
      case value
      when Hash then value.key?("image") ? value.merge("image" => @ids[value["image"]]) : plain(value)
      when Array then value.map { |item| item.is_a?(Hash) ? plain(item) : item }
      else value
      end
    end

    # The thread to what something was derived from holds ids, and words between them.
    def thread(value)
      @elements ||= @document.set.elements.each.to_set(&:id)
      value.split("/").map { |part| @elements.include?(part) ? @ids[part] : part }.join("/")
    end

    # A finding is named by its rule and the ids of what it is about.
    def named(key)
      rule, subjects = key.split(":", 2)
      subjects ? "#{rule}:#{subjects.split('+').map { |id| @ids[id] }.join('+')}" : key
    end
  end
end
