# frozen_string_literal: true

require_relative "../support/request_helper"

# Requests of every route, with what belongs there and with what does not: none is answered with
# an error of the server, and what was refused changed nothing. REQUESTS says how many.
class MutatedRequestsTest < Minitest::Test
  include RequestHelper

  REQUESTS = Integer(ENV.fetch("REQUESTS", "800"), 10)
  # A schema is proved on a server, and a text of an inventory goes on beside the request.
  LEFT = %r{/proof\z|/take\z}
  BAD = [
    "\xFF",
    "\u0000",
    "%FF",
    "\r\n",
    "",
    " ",
    "a" * 3000,
    "-1",
    "1e400",
    "[]",
    "{}",
    "[[1]]",
    "null",
    "<b>",
    "..",
    "🪨",
    "yes",
    "10.0.0.1",
    "new-1",
    "2026-13-45"
  ].freeze
  NAMES = %w[
    statements
    chosen
    selected
    kind
    moves
    dropped
    part
    layout_style
    fact
    value
    role
    facts
    noun
    x
    y
    id
    name
    after
    from
    to
    join
    points
    end
    w
    h
    how
    on
    variant
    all
    pinned
    emphasis
    closed
    sure
    as
    cells
    before
    text
    by
    down
    filter
    finding
    reason
    standing
    index
    verdict
    into
    other
    pattern
    number
    symbol
    every
    page
    q
    sheet
    element
    notation
    band
    quote
    at
    thing
    origin
    act
    no
    note
  ].freeze
  STRANGE = %w[steps steps[] file schema file[tempfile] file[] q[a] chosen[] text[]].freeze

  def routes
    Web::Application
      .routes
      .slice("GET", "POST")
      .flat_map { |verb, list| list.map { |pattern, *| [verb, pattern.to_s] } }
      .reject { |_, path| path.match?(LEFT) }
      .uniq
  end

  def ids
    @ids ||= model_of(@project).then { |set| set.elements.each.map(&:id) + set.sheet_list.map(&:id) + [SecureRandom.uuid] }
  end

  def address(pattern)
    pattern
      .gsub(%r{/\?}, "/")
      .gsub(/\?\z/, "")
      .gsub(/:(\w+)\??/) do
        case Regexp.last_match(1)
        when "project_id"
          @random.rand < 0.98 ? @project.id : pick
        when "sheet_id"
          @random.rand < 0.98 ? @sheets.sample(random: @random) : pick
        when "kind"
          (Basalt::Model::Catalogue.kinds.keys + ["x"]).sample(random: @random).gsub(" ", "%20")
        else
          @random.rand < 0.95 ? ids.sample(random: @random) : pick
        end
      end
  end

  def pick =
    BAD.sample(random: @random).b.gsub(/[^a-z0-9.-]/) { |byte| format("%%%02X", byte.ord) }.then { |text| text.empty? ? "-" : text }

  def value
    case @random.rand(6)
    when 0
      ids.sample(random: @random)
    when 1
      Basalt::Model::Catalogue.kinds.keys.sample(random: @random)
    when 2
      "[[\"#{ids.sample(random: @random)}\",\"name\",\"#{BAD.sample(random: @random).scrub.delete('"')}\"]]"
    when 3
      @random.rand(100).to_s
    else
      BAD.drop(@random.rand < 0.9 ? 4 : 0).sample(random: @random)
    end
  end

  def upload = Rack::Test::UploadedFile.new(StringIO.new(BAD.sample(random: @random)), "image/png", original_filename: "a.png")

  def params
    names = NAMES.sample(@random.rand(1..8), random: @random)
    names += STRANGE.sample(1, random: @random) if @random.rand < 0.1
    names.to_h { |name| [name, %w[file schema statements].include?(name) && @random.rand < 0.3 ? upload : value] }
  end

  def test_no_request_makes_the_server_fail
    seed = ENV.fetch("SEED") { Random.new_seed % 1_000_000 }.to_i
    @random = Random.new(seed)
    @sheets = model_of(@project).sheet_list.map(&:id)
    all = routes
    assert_operator all.length, :>, 90
    held = token
    failed = []
    _, noise =
      capture_io do
        REQUESTS.times do |n|
          verb, pattern = all[n % all.length]
          path = address(pattern)
          given = params
          given["token"] = held if verb == "POST"
          begin
            if verb == "GET"
              get("#{path}?#{Rack::Utils.build_query(given.select { |_, one| one.is_a?(String) })}")
            else
              post(path, given, "HTTP_HX_REQUEST" => "true")
            end
          rescue Rack::Test::Error, URI::InvalidURIError
            next
          end
          (@statuses ||= Hash.new(0))[last_response.status] += 1
          if last_response.status >= 500
            failed << [
              verb,
              path,
              given.except("token").transform_values { |one| one.is_a?(String) ? one[0, 80] : one.class },
              last_response.body[/refusal[^>]*>([^<]*)/, 1]
            ]
          end
        end
      end
    puts @statuses.inspect if ENV["SEED"]
    assert_empty failed,
                 "SEED=#{seed}\n#{failed.first(10).map(&:inspect).join("\n")}\n" \
                 "#{noise.lines.grep(/full_message|Error|:in `/).first(30).join}"
  end
end
