# frozen_string_literal: true

require_relative "../support/request_helper"

# A project document with one value in it made something else: it is refused with the place, or it
# is a project whose every page opens. DOCUMENTS says how many are tried.
class MutatedDocumentsTest < Minitest::Test
  include AppHelper
  include Rack::Test::Methods

  DOCUMENTS = Integer(ENV.fetch("DOCUMENTS", "150"), 10)
  OTHERS = [nil, true, 0, -1, 3, 1.5, 1e300, "", "x", "A", "\u0000", "plant" * 500, [], [1], ["a"], {}, { "a" => 1 }, [[1, 2]]].freeze
  TEXT =
    "project P\nsheet N: logical network\nsite Here\nrouter gw in Here\nsubnet Net 10.0.0.0/24\ngw on Net at .1, gateway\nserver a\na on " \
    "Net\ngw to a, copper 1G\n" \
    "sheet E: entities\nentity Crew\nCrew has code key, address (street, town)\na Crew leads many Crew\nsheet T: tables\ntable " \
    "crews\ncrews has crew_id bigint key\n" \
    "sheet A: activities\nrole Desk\nDesk assesses the leak\nsheet D: data flow\nprocess Assess\noutsider Caller\nCaller gives report to " \
    "Assess"
  Image = Struct.new(:content, :type, :width, :height)

  def app = @app ||= Web::Application.with(secret: "0" * 64)

  # @return [Array<Array>] the keys that lead to each value
  def places(json, path = [])
    inner =
      case json
      when Hash
        json.flat_map { |key, value| places(value, [*path, key]) }
      when Array
        json.each_with_index.flat_map { |value, index| places(value, [*path, index]) }
      else
        []
      end
    path.empty? ? inner : [path, *inner]
  end

  def mutated(random)
    json = JSON.parse(@document)
    path = @places.sample(random:)
    owner = json.dig(*path[0..-2]) if path.length > 1
    other = random.rand < 0.1 ? :gone : OTHERS.sample(random:)
    other == :gone ? (owner || json).delete(path.last) : (owner || json)[path.last] = other
    [json, path, other]
  end

  def open_all(project)
    set = model_of(project)
    addresses = [
      "/projects/#{project.id}",
      "/projects/#{project.id}/journal",
      "/projects/#{project.id}/dictionary",
      "/projects/#{project.id}/coverage",
      "/projects/#{project.id}/project.json"
    ]
    addresses +=
      set.sheet_list.flat_map do |sheet|
        base = "/projects/#{project.id}/sheets/#{sheet.id}"
        [
          base,
          "#{base}/reading",
          "#{base}/thumbnail.svg",
          "#{base}/findings",
          *sheet.notation.things.first(2).map { |kind| "#{base}/register/#{kind.gsub(" ", "%20")}" },
          *set.things_on(sheet.id).first(1).map { |thing| "#{base}/facts/#{thing.id}" }
        ]
      end
    addresses.find { |address| get(address).status >= 400 }
  end

  def test_every_document_is_refused_or_opens
    seed = ENV.fetch("SEED") { Random.new_seed % 1_000_000 }.to_i
    random = Random.new(seed)
    first = project(TEXT)
    Store::Image.create!(
      id: SecureRandom.uuid,
      project_id: first.id,
      name: "mark",
      type: "image/png",
      width: 2,
      height: 2,
      content: "\x89PNG\x00".b
    )
    @document = Store::Archive.write(first.id)
    @places = places(JSON.parse(@document))
    taken = 0
    capture_io do
      DOCUMENTS.times do
        json, path, other = mutated(random)
        copy = Store::Archive.read(json.to_json) { |bytes| Image.new(bytes, "image/png", 2, 2) }
        taken += 1
        bad = open_all(copy)
        assert_nil bad,
                   "SEED=#{seed}: /#{path.join("/")} became #{other.inspect[0, 80]}: #{bad&.sub(/\h{8}-[\h-]+/, "…")} answers " \
                   "#{last_response.status}"
        copy.remove
      rescue Basalt::Formats::ProjectDocument::Damaged
        next
      end
    end
    assert_operator taken, :<, DOCUMENTS
  end
end
