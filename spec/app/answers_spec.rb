# frozen_string_literal: true

require "app_helper"

RSpec.describe "The answer to a change" do
  before(:all) do
    empty_database
    @id = kept_book.id
  end

  def whole = ask("/api/books/#{@id}").then { answer }

  # The browser's own change, which has the book as it stands in `held`.
  def sent(method, path, body, held)
    public_send(
      method,
      "/api/books/#{@id}#{path}",
      JSON.generate(body),
      "CONTENT_TYPE" => "application/json",
      "HTTP_HOST" => "localhost",
      "HTTP_X_REVISION" => held["revision"].to_s
    )
    expect(last_response.status).to eq(200), last_response.body[0, 300]
    answer
  end

  # What the front end makes of the answer.
  def put_together(held, change)
    web("api/changed.ts", "m.changed(#{JSON.generate(held)}, #{JSON.generate(change)})")
  end

  def ids(held) = held["cells"].map { |cell| cell["id"] }

  # Operations on the document; cells by their ids.
  it "says what is another, and makes the whole of it with what the browser had" do
    held = whole
    steps = [
      [:patch, "", {label: "Title", patch: {title: "Wet moss", subtitle: "North"}}, [], 0],
      [:post, "/cells", {do: "move", cells: [ids(held)[1]], dx: 10, dy: 5}, [], 1],
      [:post, "/cells", {do: "remove", cells: [ids(held)[2]]}, [ids(held)[2]], nil],
      [:post, "/undo", {}, [], nil],
      [:patch, "", {label: "Order", patch: {layers: :turned_round}}, [], 0],
      [:patch, "", {label: "Look", patch: {layers: :named_anew}}, [], 0],
      [:patch, "", {label: "No subtitle", patch: {subtitle: nil}}, [], 0],
      [:post, "/index/keep", {}, [], held["cells"].length],
      [:patch, "", {label: "Page", patch: {layout: {page: {size: "A4"}}}}, [], nil],
      [:patch, "", {label: "Names", patch: {index: {naming: {kind: "numbers"}}}}, [], nil],
      [:post, "/layout/index", {on: true}, [], 0],
      [:post, "/pages", {title: "Cover", place: "front", design: "cover"}, [], 0],
      [:patch, "", {label: "Symbol", patch: {layers: :drawn_anew}}, [], 0]
    ]
    turned = ->(layers) { layers.reverse }
    named = ->(layers) { layers.map { |layer| layer.merge("title" => "#{layer["title"]} anew") } }
    drawn = ->(layers) do
      JSON
        .parse(JSON.generate(layers))
        .each { |layer| layer["rules"][0]["symbol"] = {"fill" => {"colour" => "#123456"}} }
    end
    layers = {turned_round: turned, named_anew: named, drawn_anew: drawn}
    steps.each do |method, path, body, gone, come|
      if (made = layers[body.dig(:patch, :layers)])
        body = body.merge(patch: {layers: made.call(held["document"]["layers"])})
      end
      body = body.merge(revision: held["revision"]) if body.key?(:cells) || body.key?(:patch)
      change = sent(method, path, body, held)
      expect(change).to include("since" => held["revision"], "revision" => held["revision"] + 1)
      expect(change).not_to include("layers")
      expect(change.dig("cells", "gone").to_a).to eq(gone)
      expect(change.dig("cells", "come").to_a.length).to eq(come) if come
      held = put_together(held, change).except("made")
      expect(held).to eq(whole)
    end
  end

  it "is the whole book for a browser that has it otherwise" do
    held = whole
    sent(:patch, "", {label: "Title", patch: {title: "Wet moss"}}, held)
    change = sent(:patch, "", {label: "Title", patch: {title: "Dry moss"}}, held)
    expect(change).to include("layers", "faces")
    expect(change["cells"].length).to eq(held["cells"].length)
    expect(change).not_to have_key("since")
  end

  it "is put into no other book than the one that the change was made on" do
    expect(
      put_together({"revision" => 4}, {"since" => 5, "revision" => 6, "operations" => [], "cells" => nil})
    ).to be_nil
  end

  it "stays small where there are many cells" do
    held = whole
    change = sent(:patch, "", {label: "Title", patch: {title: "Moss again"}}, held)
    title = {"op" => "replace", "path" => "/title", "value" => "Moss again"}
    expect(change).to include("operations" => [title], "cells" => nil)
  end
end
