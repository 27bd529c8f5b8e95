<p>Cosecha</p>
