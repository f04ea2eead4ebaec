# frozen_string_literal: true

require "app_helper"
require_relative "../../setup/generated"

# A part of the document is declared in its value and nowhere else.
RSpec.describe "A part of the document that is declared" do
  around do |example|
    contents, schema = TileLoom::Document::Contents, TileLoom::Document::Schema
    known = schema.instance_variables.to_h { |name| [name, schema.remove_instance_variable(name)] }
    contents.part(:motto, contents.text(most: 40), about: "What the book is made under.")
    example.run
  ensure
    contents.send(:own_parts).delete(:motto)
    contents.instance_variable_set(:@all_parts, nil)
    contents.remove_method(:motto)
    schema.instance_variables.each { |name| schema.remove_instance_variable(name) }
    known.each { |name, value| schema.instance_variable_set(name, value) }
  end

  before { empty_database }

  def motto(book) = App::Book.find(book.id).document["motto"]

  def exported(book) = ask("/api/books/#{book.id}/file").body.dup.force_encoding("UTF-8")

  it "is kept, undone, carried, checked and among the types of the front end" do
    book = kept_book(motto: "Slow water")
    expect(motto(book)).to eq("Slow water")
    change = ->(value) { send_json(:patch, "/api/books/#{book.id}", {patch: {motto: value}, label: "Motto"}) }
    change["Wet feet"]
    expect([last_response.status, answer["document"]["motto"]]).to eq([200, "Wet feet"])
    send_json(:post, "/api/books/#{book.id}/undo", {})
    expect(motto(book)).to eq("Slow water")
    change[5]
    expect([last_response.status, answer["path"]]).to eq([422, "/motto"])
    post("/api/books", exported(book), "HTTP_HOST" => "localhost", "CONTENT_TYPE" => "application/json")
    expect(motto(App::Book.find(answer["id"]))).to eq("Slow water")
    expect(App::Book.find(book.id).core.contents.motto).to eq("Slow water")
    types = Setup::Generated.new.send(:front_end, "types.mjs", TileLoom::Document::Schema.text)
    expect(types).to match(/What the book is made under.*motto\?: string;/m)
  end
end
